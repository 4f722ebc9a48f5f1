import { ChevronLeft, FileDown } from "lucide-react";
import { lazy, type ReactNode, Suspense, useState } from "react";
import { amountIn, type Notation } from "@/exchange/notation";
import { api } from "@/features/api/client";
import type { SaveStatus } from "@/features/saving/autosave";
import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import type { StockVehicle } from "@/server/contract";
import { DealStatusField } from "./DealStatusField";
import { useDesk } from "./desk/desk-context";
import { deskDocument } from "./desk/desk-state";
import { stockFigures } from "./desk/stock-figures";
import { NameField, type Suggestion } from "./NameField";
import { hasErrors } from "./option";
import { useNotation, useOption } from "./option/option-context";
import { AnythingButton } from "./palette/AnythingButton";
import { Changeable } from "./parts/Changeable";

// Asked now and then: the screen starts without the code for it.
const StockOffer = lazy(() => import("./StockOffer").then(({ StockOffer: offer }) => ({ default: offer })));

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
  const [offered, setOffered] = useState<StockVehicle | null>(null);
  /** A vehicle that is picked, or typed out, brings its prices where none are typed yet; else they are offered. */
  const bringPrices = (vehicle: StockVehicle) => {
    const figures = stockFigures(option.inputs, vehicle);
    for (const { field, minor } of figures.filter(({ isOpen }) => isOpen)) {
      act({ type: "typed", field, text: amountIn(minor, vehicle.currency, notation) });
      act({ type: "left", field });
    }
    setOffered(figures.some(({ isOpen }) => !isOpen) ? vehicle : null);
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
          onChange={vehicle => {
            setOffered(null);
            dispatch({ type: "heading", change: { vehicle } });
          }}
          onNamed={bringPrices}
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
      {offered && (
        <Suspense fallback={null}>
          <StockOffer vehicle={offered} onDone={() => setOffered(null)} />
        </Suspense>
      )}
    </header>
  );
}
