import { ChevronLeft } from "lucide-react";
import { lazy, Suspense, useState } from "react";
import { amountIn, type Notation } from "@/exchange/notation";
import { api } from "@/features/api/client";
import type { StockVehicle } from "@/server/contract";
import { useDesk } from "./desk/desk-context";
import { stockFigures } from "./desk/stock-figures";
import { NameField, type Suggestion } from "./NameField";
import { useNotation, useOption } from "./option/option-context";

// Asked now and then: the screen starts without the code for it.
const StockOffer = lazy(() => import("./StockOffer").then(({ StockOffer: offer }) => ({ default: offer })));

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

type Props = {
  /** On a narrow screen: whether what is seldom needed is shown, and the way to show it. */
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
};

/** Whose deal it is, and for what. */
export function DealHeader({ isOpen, onOpen }: Props) {
  const { state, dispatch } = useDesk();
  const { option, act, isFrozen } = useOption();
  const { notation } = useNotation();
  const { heading: deal } = state;
  const [offered, setOffered] = useState<StockVehicle | null>(null);
  /** A vehicle that is picked, or typed out, brings its prices where none are typed yet; else they are offered. */
  const bringPrices = (vehicle: StockVehicle) => {
    const figures = stockFigures(option.inputs, vehicle);
    for (const { field, minor } of figures.filter(({ isOpen: isFree }) => isFree)) {
      act({ type: "typed", field, text: amountIn(minor, vehicle.currency, notation) });
      act({ type: "left", field });
    }
    setOffered(figures.some(({ isOpen: isFree }) => !isFree) ? vehicle : null);
  };
  return (
    <header className="mb-2 flex min-w-0 flex-wrap items-center gap-x-3 gap-y-2 [grid-area:header]">
      <h1 className="sr-only">Deal of {deal.customer || "a new customer"}</h1>
      <a href="/" className="btn btn-ghost btn-sm px-2 print:hidden" aria-label="Back to the deals">
        <ChevronLeft size={18} aria-hidden="true" />
      </a>
      {isFrozen ? (
        <>
          <p className="font-semibold font-serif text-xl">{deal.customer || "No name"}</p>
          <p className="min-w-0 grow text-faint">{deal.vehicle}</p>
        </>
      ) : (
        <>
          <NameField
            label="Customer"
            value={deal.customer}
            id={CUSTOMER_FIELD}
            placeholder="Customer’s name"
            suggest={suggestCustomers}
            className="min-w-32 grow-2 basis-32 font-semibold font-serif text-lg"
            onChange={customer => dispatch({ type: "heading", change: { customer } })}
          />
          <NameField
            label="Vehicle or purpose"
            value={deal.vehicle}
            placeholder="Vehicle or purpose"
            suggest={text => suggestVehicles(text, notation)}
            className={`min-w-44 grow-3 basis-44 ${isOpen ? "" : "max-md:hidden print:block"}`}
            onChange={vehicle => {
              setOffered(null);
              dispatch({ type: "heading", change: { vehicle } });
            }}
            onNamed={bringPrices}
          />
        </>
      )}
      <button
        type="button"
        className="btn btn-ghost btn-sm px-2 md:hidden print:hidden"
        aria-expanded={isOpen}
        onClick={() => onOpen(!isOpen)}
      >
        {isOpen ? "Less" : "More"}
      </button>
      {offered && (
        <Suspense fallback={null}>
          <StockOffer vehicle={offered} onDone={() => setOffered(null)} />
        </Suspense>
      )}
    </header>
  );
}
