import { ChevronLeft } from "lucide-react";
import { lazy, memo, Suspense, useState } from "react";
import { type Named, nameOf, newId, ownNamed } from "@/exchange/deal-document";
import { useMe } from "@/features/people/me-context";
import type { StockVehicle } from "@/server/contract";
import { useFrame } from "./desk/desk-context";
import { openedOption } from "./desk/desk-state";
import { NameField } from "./names/NameField";
import { useIsFrozen, useNotation } from "./option/option-context";

const BACK = <ChevronLeft size={18} aria-hidden="true" />;

/** Where the officer starts on a deal that is new. */
export const CUSTOMER_FIELD = "customer";

// Asked for once somebody types: the screen starts without the code for it.
const suggestions = () => import("./names/suggestions");
const StockOffer = lazy(() =>
  import("./names/StockOffer").then(({ StockOffer: offer }) => ({ default: offer })),
);
// A desk without names starts without the code for them.
const DealPeopleButton = lazy(() =>
  import("./people/DealPeopleButton").then(({ DealPeopleButton: button }) => ({ default: button })),
);
const SamePerson = lazy(() => import("./names/SamePerson").then(({ SamePerson: ask }) => ({ default: ask })));

type Props = {
  dealId: string;
  /** On a narrow screen: whether what is seldom needed is shown, and the way to show it. */
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
};

type Names = { customer?: Named | undefined; vehicle?: Named | undefined };

/** Whose deal it is, and for what. */
export const DealHeader = memo(function DealHeader({ dealId, isOpen, onOpen }: Props) {
  const { heading: deal, dispatch, now } = useFrame();
  const isFrozen = useIsFrozen();
  const hasNames = useMe() !== null;
  const { notation } = useNotation();
  const [offered, setOffered] = useState<StockVehicle | null>(null);
  // What is typed is the deal's own, and no known one that happens to be called so.
  const [own] = useState(() => ({ customer: newId(), vehicle: newId() }));
  // Who and what were named, or picked, before something was typed: typed back again, it is them.
  const [former, setFormer] = useState<Names>({});
  const [corrected, setCorrected] = useState<Named | undefined>();
  /** A vehicle that is picked brings its prices where none are typed yet; else they are offered. */
  const bringPrices = async (vehicle: StockVehicle) => {
    const { bringPrices: bring } = await suggestions();
    setOffered(bring(vehicle, openedOption(now()).inputs, notation, dispatch) ? vehicle : null);
  };
  const name = (change: Names) => {
    setCorrected(undefined);
    dispatch({ type: "heading", change });
  };
  const typed = (member: keyof Names, text: string) =>
    text === nameOf(former[member]) ? former[member] : ownNamed(text, own[member]);
  const pick = (known: Names) => {
    setFormer({ ...former, ...known });
    name(known);
  };
  const onFocus = () => setFormer({ customer: deal.customer, vehicle: deal.vehicle });
  const [customer, vehicle] = [nameOf(deal.customer), nameOf(deal.vehicle)];
  return (
    <header className="group/head mb-2 flex min-w-0 flex-wrap items-center gap-x-3 gap-y-2 [grid-area:header]">
      <h1 className="sr-only">Deal of {customer || "a new customer"}</h1>
      <a href="/" className="btn btn-ghost btn-sm px-2 print:hidden" aria-label="Back to the deals">
        {BACK}
      </a>
      {isFrozen ? (
        <>
          <p className="font-semibold font-serif text-xl">{customer || "No name"}</p>
          <p className="min-w-0 grow text-faint">{vehicle}</p>
        </>
      ) : (
        <>
          <NameField
            label="Customer"
            value={customer}
            id={CUSTOMER_FIELD}
            placeholder="Customer’s name"
            suggest={async text => (await suggestions()).suggestCustomers(text, notation, deal.customer)}
            className="min-w-32 grow-2 basis-32 group-has-[[data-deal-people]]/head:min-w-40 font-semibold font-serif text-lg"
            onChange={text => name({ customer: typed("customer", text) })}
            onPicked={({ id, name: called }) => pick({ customer: { id, name: called } })}
            onFocus={onFocus}
            onLeft={() => {
              const { customer: before } = former;
              const isTyped = deal.customer?.id === own.customer;
              if (before && before.id !== own.customer && isTyped) setCorrected(before);
            }}
          />
          <NameField
            label="Vehicle or purpose"
            value={vehicle}
            placeholder="Vehicle or purpose"
            suggest={async text => (await suggestions()).suggestVehicles(text, notation, deal.vehicle)}
            className={`min-w-44 grow-3 basis-44 group-has-[[data-deal-people]]/head:min-w-36 ${isOpen ? "" : "max-md:hidden print:flex"}`}
            onFocus={onFocus}
            onChange={text => {
              setOffered(null);
              name({ vehicle: typed("vehicle", text) });
            }}
            onPicked={picked => {
              pick({ vehicle: { id: picked.id, name: picked.description } });
              void bringPrices(picked);
            }}
          />
        </>
      )}
      {hasNames && (
        <Suspense fallback={null}>
          <DealPeopleButton dealId={dealId} />
        </Suspense>
      )}
      <button
        type="button"
        className="btn btn-ghost btn-sm px-2 md:hidden print:hidden"
        aria-expanded={isOpen}
        onClick={() => onOpen(!isOpen)}
      >
        {isOpen ? "Less" : "More"}
      </button>
      {(offered || corrected) && (
        <Suspense>
          {offered && <StockOffer vehicle={offered} onDone={() => setOffered(null)} />}
          {corrected && deal.customer && (
            <SamePerson
              former={corrected}
              present={deal.customer}
              dealId={dealId}
              onSame={same => name({ customer: same })}
              onDone={() => setCorrected(undefined)}
            />
          )}
        </Suspense>
      )}
    </header>
  );
});
