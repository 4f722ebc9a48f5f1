import { ChevronLeft, FileDown } from "lucide-react";
import type { ReactNode } from "react";
import { amountIn, type Notation } from "@/exchange/notation";
import { api } from "@/features/api/client";
import type { SaveStatus } from "@/features/saving/autosave";
import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import type { StockVehicle } from "@/server/contract";
import { DealStatusField } from "./DealStatusField";
import { useDesk } from "./desk/desk-context";
import { deskDocument } from "./desk/desk-state";
import { NameField, type Suggestion } from "./NameField";
import { hasErrors } from "./option";
import { useNotation, useOption } from "./option/option-context";
import { AnythingButton } from "./palette/AnythingButton";
import { Changeable } from "./parts/Changeable";

type Props = {
  status: SaveStatus;
  /** What files of the deal are named by. */
  fileName: string;
  /** What can be undone. */
  children: ReactNode;
};

/** Where the officer starts on a deal that is new. */
export const CUSTOMER_FIELD = "customer";

async function suggestCustomers(text: string): Promise<Suggestion<string>[]> {
  const answer = await api.customersLike(text);
  return answer.kind === "done" ? answer.value.customers.map(name => ({ value: name, of: name })) : [];
}

async function suggestVehicles(text: string, notation: Notation): Promise<Suggestion<StockVehicle>[]> {
  const answer = await api.vehiclesLike(text);
  if (answer.kind !== "done") return [];
  return answer.value.vehicles.map(vehicle => {
    const { description, priceMinor, currency } = vehicle;
    const remark = priceMinor === null ? undefined : amountIn(priceMinor, currency, notation);
    return { value: description, remark, of: vehicle };
  });
}

/** Whose deal it is, for what, how it stands, and whether it is saved. */
export function DealHeader({ status, fileName, children }: Props) {
  const { state, dispatch } = useDesk();
  const { option, act } = useOption();
  const { notation } = useNotation();
  const { heading: deal, options } = state;
  /** A vehicle that is picked, or typed out, brings its asking price, where none is typed yet. */
  const bringPrice = ({ priceMinor, currency }: StockVehicle) => {
    const { structure, find } = option.inputs;
    const priceIsOpen = structure.price === undefined && find !== "price";
    if (!priceIsOpen || priceMinor === null || currency !== option.inputs.currency) return;
    act({ type: "typed", field: "price", text: amountIn(priceMinor, currency, notation) });
    act({ type: "left", field: "price" });
  };
  return (
    <header className="flex flex-wrap items-center gap-x-3 gap-y-2">
      <h1 className="sr-only">Deal of {deal.customer || "a new customer"}</h1>
      <a href="/" className="btn btn-ghost btn-sm px-2" aria-label="Back to the deals">
        <ChevronLeft size={18} aria-hidden="true" />
      </a>
      <Changeable>
        <NameField
          label="Customer"
          value={deal.customer}
          id={CUSTOMER_FIELD}
          placeholder="Customer’s name"
          suggest={suggestCustomers}
          className="min-w-52 grow-2 basis-52 font-semibold font-serif text-xl"
          onChange={customer => dispatch({ type: "heading", change: { customer } })}
        />
        <NameField
          label="Vehicle or purpose"
          value={deal.vehicle}
          placeholder="Vehicle or purpose"
          suggest={text => suggestVehicles(text, notation)}
          className="min-w-60 grow-3 basis-60"
          onChange={vehicle => dispatch({ type: "heading", change: { vehicle } })}
          onNamed={bringPrice}
        />
        <DealStatusField />
      </Changeable>
      <div className="flex w-[4.25rem]">{children}</div>
      <SaveStatusLine status={status} unreadable={options.some(each => hasErrors(each.state.errors))} />
      <button
        type="button"
        className="btn btn-ghost btn-sm"
        onClick={async () => {
          // Written now and then: the screen starts without the code for it.
          const { saveDealFile } = await import("./desk/save-deal-file");
          saveDealFile(fileName, deskDocument(state));
        }}
      >
        <FileDown size={16} aria-hidden="true" />
        Deal file
      </button>
      <AnythingButton />
    </header>
  );
}
