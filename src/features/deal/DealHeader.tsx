import { ChevronLeft } from "lucide-react";
import { lazy, memo, Suspense, useState } from "react";
import type { Notation } from "@/exchange/notation";
import type { StockVehicle } from "@/server/contract";
import { useFrame } from "./desk/desk-context";
import { openedOption } from "./desk/desk-state";
import { NameField } from "./NameField";
import { useIsFrozen, useNotation } from "./option/option-context";

const BACK = <ChevronLeft size={18} aria-hidden="true" />;

/** Where the officer starts on a deal that is new. */
export const CUSTOMER_FIELD = "customer";

// Asked for once somebody types: the screen starts without the code for it.
const suggestions = () => import("./suggestions");
const StockOffer = lazy(() => import("./StockOffer").then(({ StockOffer: offer }) => ({ default: offer })));

const suggestCustomers = async (text: string) => (await suggestions()).suggestCustomers(text);

const suggestVehicles = async (text: string, notation: Notation) =>
  (await suggestions()).suggestVehicles(text, notation);

type Props = {
  /** On a narrow screen: whether what is seldom needed is shown, and the way to show it. */
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
};

/** Whose deal it is, and for what. */
export const DealHeader = memo(function DealHeader({ isOpen, onOpen }: Props) {
  const { heading: deal, dispatch, now } = useFrame();
  const isFrozen = useIsFrozen();
  const { notation } = useNotation();
  const [offered, setOffered] = useState<StockVehicle | null>(null);
  /** A vehicle that is picked, or typed out, brings its prices where none are typed yet; else they are offered. */
  const bringPrices = async (vehicle: StockVehicle) => {
    const { bringPrices: bring } = await suggestions();
    setOffered(bring(vehicle, openedOption(now()).inputs, notation, dispatch) ? vehicle : null);
  };
  return (
    <header className="mb-2 flex min-w-0 flex-wrap items-center gap-x-3 gap-y-2 [grid-area:header]">
      <h1 className="sr-only">Deal of {deal.customer || "a new customer"}</h1>
      <a href="/" className="btn btn-ghost btn-sm px-2 print:hidden" aria-label="Back to the deals">
        {BACK}
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
            onNamed={vehicle => void bringPrices(vehicle)}
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
});
