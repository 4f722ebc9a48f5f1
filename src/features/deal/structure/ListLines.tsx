import { ChargeLines } from "./ChargeLines";
import { PayoffLines, RebateLines } from "./OtherLines";
import { TaxLines } from "./TaxLines";
import type { Opening } from "./use-structure";

/** The lines of the lists that stand after the price: taxes, fees, extras, rebates. */
export function LinesAfterPrice({ opening }: { opening: Opening }) {
  return (
    <>
      <TaxLines opening={opening} />
      <ChargeLines list="fees" opening={opening} />
      <ChargeLines list="extras" opening={opening} />
      <RebateLines opening={opening} />
    </>
  );
}

/** The lines of the lists that leave the loan amount as it is. */
export function LinesAfterDown({ opening }: { opening: Opening }) {
  return <PayoffLines opening={opening} />;
}
