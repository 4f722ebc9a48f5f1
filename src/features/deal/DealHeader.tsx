import { ChevronLeft, FileDown } from "lucide-react";
import { useMemo } from "react";
import type { DealStatus } from "@/exchange/deal-document";
import { amountText } from "@/exchange/text";
import { saveFile } from "@/features/figures/save-file";
import type { SaveStatus } from "@/features/saving/autosave";
import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import type { StockVehicle } from "@/server/contract";
import { useDesk } from "./desk/desk-context";
import { STATUS_NAMES } from "./desk/status-names";
import { NameField } from "./NameField";
import { hasErrors } from "./option";

type Props = { customers: string[]; vehicles: StockVehicle[]; status: SaveStatus };

/** Where the officer starts on a deal that is new. */
export const CUSTOMER_FIELD = "customer";

/** Whose deal it is, for what, how it stands, and whether it is saved. */
export function DealHeader({ customers, vehicles, status }: Props) {
  const { state, dispatch, option, act } = useDesk();
  const { heading: deal, options } = state;
  const names = useMemo(() => customers.map(name => ({ value: name })), [customers]);
  const stock = useMemo(
    () =>
      vehicles.map(({ description, priceMinor, currency }) => ({
        value: description,
        remark: priceMinor === null ? undefined : amountText(priceMinor, currency),
      })),
    [vehicles],
  );
  const pickVehicle = (vehicle: string) => {
    dispatch({ type: "heading", change: { vehicle } });
    const picked = vehicles.find(each => each.description === vehicle);
    const { structure, find, currency } = option.inputs;
    const priceIsOpen = structure.price === undefined && find !== "price";
    if (priceIsOpen && picked?.priceMinor != null && picked.currency === currency) {
      act({ type: "typed", field: "price", text: amountText(picked.priceMinor, currency) });
      act({ type: "left", field: "price" });
    }
  };
  return (
    <header className="flex flex-wrap items-center gap-x-3 gap-y-2">
      <h1 className="sr-only">Deal of {deal.customer || "a new customer"}</h1>
      <a href="/" className="btn btn-ghost btn-sm px-2" aria-label="Back to the deals">
        <ChevronLeft size={18} aria-hidden="true" />
      </a>
      <NameField
        label="Customer"
        value={deal.customer}
        id={CUSTOMER_FIELD}
        placeholder="Customer’s name"
        suggestions={names}
        className="min-w-52 grow-2 basis-52 font-semibold font-serif text-xl"
        onChange={customer => dispatch({ type: "heading", change: { customer } })}
      />
      <NameField
        label="Vehicle or purpose"
        value={deal.vehicle}
        placeholder="Vehicle or purpose"
        suggestions={stock}
        className="min-w-60 grow-3 basis-60"
        onChange={pickVehicle}
      />
      <label className="flex items-center gap-2">
        <span className="sr-only">Status</span>
        <select
          className="field w-28"
          value={deal.status}
          onChange={event =>
            dispatch({ type: "heading", change: { status: event.target.value as DealStatus } })
          }
        >
          {Object.entries(STATUS_NAMES).map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <SaveStatusLine status={status} unreadable={options.some(each => hasErrors(each.state.errors))} />
      <button
        type="button"
        className="btn btn-ghost btn-sm"
        onClick={() =>
          saveFile(
            `${deal.customer || "New deal"}.deal.json`,
            "application/json",
            `${JSON.stringify(option.inputs, null, 2)}\n`,
          )
        }
      >
        <FileDown size={16} aria-hidden="true" />
        Deal file
      </button>
    </header>
  );
}
