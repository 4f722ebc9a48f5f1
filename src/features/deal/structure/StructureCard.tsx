import { lazy, memo, Suspense, useState } from "react";
import { LOCALE_NAMES, LOCALES, type Locale } from "@/exchange/notation";
import { useDesk } from "../desk/desk-context";
import { asPersonal, asVehicle, linesOf, withTaxAdded, withTaxIncluded } from "../fields";
import { useOption } from "../option/option-context";
import { AddLine } from "./AddLine";
import { CashDownRow } from "./CashDownRow";
import { TallyFoot } from "./TallyFoot";
import { TallyRow } from "./TallyRow";
import { TradeInLines } from "./TradeInLines";
import { type OpenLine, useStructure } from "./use-structure";

// A plain deal has none of these lines: the screen starts without the code for them.
const LinesAfterPrice = lazy(() =>
  import("./ListLines").then(({ LinesAfterPrice: lines }) => ({ default: lines })),
);
const LinesAfterDown = lazy(() =>
  import("./ListLines").then(({ LinesAfterDown: lines }) => ({ default: lines })),
);

/**
 * The tally from the price to the amount financed, each line with its sign and the subtotal so far. The lines scroll by
 * themselves, and what they lead to stays in view.
 */
export const StructureCard = memo(function StructureCard() {
  const { inputs, structure, tally, runningOf } = useStructure();
  const [open, setOpen] = useState<OpenLine>(null);
  const opening = { open, setOpen };
  const isPersonal = structure.purpose !== undefined;
  const hasLists = Boolean(structure.taxes || structure.fees || structure.extras || structure.rebates);
  return (
    <section aria-labelledby="structure-title" className="flex min-h-0 flex-col">
      <div className="min-h-0 overflow-auto p-4 pb-2">
        <div className="flex items-baseline justify-between">
          <h2 id="structure-title" className="font-semibold text-lg">
            Structure
          </h2>
          <span className="text-faint text-sm">running total, {inputs.currency}</span>
        </div>
        <div className="mt-1.5 grid grid-cols-[1fr_0.75rem_7.25rem_5.75rem] items-center gap-x-2 gap-y-1.5">
          {isPersonal && <PurposeRow />}
          <TallyRow
            stale={tally.stale}
            label={isPersonal ? "Amount asked for" : "Price"}
            field="price"
            running={runningOf("price")[0] ?? ""}
            remark={<TaxInPrice />}
          />
          {hasLists && (
            <Suspense fallback={<p className="col-span-4 text-faint">Opening …</p>}>
              <LinesAfterPrice opening={opening} />
            </Suspense>
          )}
          {!isPersonal && <TradeInLines opening={opening} />}
          {structure.deposit !== undefined && <DepositRow />}
          <CashDownRow />
          {structure.payoffs && (
            <Suspense fallback={null}>
              <LinesAfterDown opening={opening} />
            </Suspense>
          )}
        </div>
        <AddLine opening={opening} />
        <KindOfDeal />
      </div>
      <TallyFoot />
    </section>
  );
});

function PurposeRow() {
  const { tally } = useStructure();
  return <TallyRow stale={tally.stale} label="Purpose" field="purpose" />;
}

function DepositRow() {
  const { tally, runningOf, change } = useStructure();
  return (
    <TallyRow
      stale={tally.stale}
      label="Deposit paid"
      sign="−"
      field="deposit"
      running={runningOf("deposit")[0] ?? ""}
      remark={
        <button
          type="button"
          className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
          onClick={() => change(({ deposit: _, ...rest }) => rest)}
        >
          no deposit
        </button>
      }
    />
  );
}

/** Whether the taxes are in the price, where there are any. */
function TaxInPrice() {
  const { structure, change } = useStructure();
  const taxes = linesOf(structure, "taxes");
  if (taxes.length === 0) return null;
  const isIncluded = structure.taxIncluded ?? false;
  return (
    <>
      tax {isIncluded ? "in it" : "not in it"} ·{" "}
      <button
        type="button"
        className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
        onClick={() => change(isIncluded ? withTaxAdded : withTaxIncluded)}
      >
        {isIncluded ? "add it" : "it is in it"}
      </button>
    </>
  );
}

/** Where figures are written as in this deal. */
function PlaceOfDeal() {
  const { option, act } = useOption();
  const { houseLocale, inputs } = option;
  return (
    <select
      aria-label="Figures as in"
      className="max-w-full cursor-pointer bg-base-100 text-primary underline"
      value={inputs.locale ?? ""}
      onChange={event => act({ type: "locale", locale: (event.target.value as Locale) || undefined })}
    >
      <option value="">figures as here: {LOCALE_NAMES[houseLocale]}</option>
      {LOCALES.map(locale => (
        <option key={locale} value={locale}>
          figures as in {LOCALE_NAMES[locale]}
        </option>
      ))}
    </select>
  );
}

/** The way from a vehicle to a personal loan and back. */
function KindOfDeal() {
  const { state } = useDesk();
  const { structure, change } = useStructure();
  const isPersonal = structure.purpose !== undefined;
  const purpose = state.heading.vehicle || "Personal loan";
  return (
    <p className="mt-1 text-faint text-sm">
      {isPersonal ? "A personal loan" : "A vehicle"} ·{" "}
      <button
        type="button"
        className="cursor-pointer text-primary underline decoration-dotted underline-offset-2"
        onClick={() => change(now => (isPersonal ? asVehicle(now) : asPersonal(now, purpose)))}
      >
        make it {isPersonal ? "a vehicle" : "a personal loan"}
      </button>{" "}
      · <PlaceOfDeal />
    </p>
  );
}
