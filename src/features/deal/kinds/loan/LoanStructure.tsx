import { lazy, memo, Suspense } from "react";
import { isFoundIn } from "../../option";
import { useOption } from "../../option/option-context";
import { AddLine } from "../../structure/AddLine";
import { AmountRows } from "../../structure/AmountRows";
import { CashDownRow } from "../../structure/CashDownRow";
import { NamedRow } from "../../structure/NamedRow";
import { TallyCard } from "../../structure/TallyCard";
import { TallyRow } from "../../structure/TallyRow";
import { TradeInLines } from "../../structure/TradeInLines";
import { useOpening, useStructure } from "../../structure/use-structure";
import { LoanFoot } from "./LoanFoot";

// A plain deal has none of these lines: the screen starts without the code for them.
const LinesAfterPrice = lazy(() =>
  import("../../structure/ListLines").then(({ LinesAfterPrice: lines }) => ({ default: lines })),
);
const TaxInPrice = lazy(() =>
  import("../../structure/TaxInPrice").then(({ TaxInPrice: remark }) => ({ default: remark })),
);
const LinesAfterDown = lazy(() =>
  import("../../structure/ListLines").then(({ LinesAfterDown: lines }) => ({ default: lines })),
);

/**
 * The tally from the price to the amount financed, each line with its sign and the subtotal so far. The lines scroll by
 * themselves, and what they lead to stays in view.
 */
export const LoanStructure = memo(function LoanStructure() {
  const { structure, tally, runningOf } = useStructure();
  const opening = useOpening();
  const isPersonal = structure.purpose !== undefined;
  const isDownFound = isFoundIn(useOption().option, "down");
  const hasLists = Boolean(structure.taxes || structure.fees || structure.extras || structure.rebates);
  return (
    <TallyCard foot={<LoanFoot />} after={<AddLine opening={opening} />}>
      {isPersonal && <PurposeRow />}
      <NamedRow
        line="price"
        stale={tally.stale}
        usual={isPersonal ? "Amount asked for" : "Price"}
        field="price"
        running={runningOf("price")[0] ?? ""}
        remark={
          structure.taxes && (
            <Suspense fallback={null}>
              <TaxInPrice />
            </Suspense>
          )
        }
      />
      {hasLists && (
        <Suspense fallback={<p className="col-span-4 text-faint">Opening …</p>}>
          <LinesAfterPrice opening={opening} />
        </Suspense>
      )}
      {!isPersonal && <TradeInLines opening={opening} />}
      <AmountRows />
      {(!isPersonal || structure.down !== undefined || isDownFound) && <CashDownRow />}
      {structure.payoffs && (
        <Suspense fallback={null}>
          <LinesAfterDown opening={opening} />
        </Suspense>
      )}
    </TallyCard>
  );
});

function PurposeRow() {
  const { tally } = useStructure();
  return <TallyRow stale={tally.stale} label="Purpose" field="purpose" />;
}
