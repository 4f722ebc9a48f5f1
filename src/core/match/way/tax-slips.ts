import type { Slip, TaxedPart } from "./departure";
import type { SlipOf } from "./structure-slips";

/** What a tax of a loan or of a lease is reckoned on. */
type TaxBase = {
  name: string;
  on: readonly TaxedPart[];
  tradeInCredit: boolean | number;
  rebateCredit: boolean;
};

/** What there is that can be taxed or credited. */
type There = { parts: readonly TaxedPart[]; hasTradeIns: boolean; hasRebates: boolean };

/** Taxes that are reckoned on the wrong base: a line more or less, a trade-in or a rebate credited or not. */
export function taxSlips<Tax extends TaxBase>(
  taxes: readonly Tax[],
  { parts, hasTradeIns, hasRebates }: There,
): SlipOf<readonly Tax[]>[] {
  return taxes.flatMap((tax, place) => {
    const of = (
      what: Extract<Slip, { slip: "taxBase" }>["what"],
      isTaken: boolean,
      change: Partial<TaxBase>,
    ): SlipOf<readonly Tax[]> => ({
      slip: { slip: "taxBase", name: tax.name, what, isTaken },
      change: now => now.map((each, index) => (index === place ? { ...each, ...change } : each)),
    });
    const isCredited = tax.tradeInCredit !== false;
    return [
      ...(hasTradeIns ? [of("tradeIn", !isCredited, { tradeInCredit: !isCredited })] : []),
      ...(hasRebates ? [of("rebates", !tax.rebateCredit, { rebateCredit: !tax.rebateCredit })] : []),
      ...parts.map(part => {
        const isOn = tax.on.includes(part);
        return of(part, !isOn, {
          on: isOn ? tax.on.filter(each => each !== part) : [...tax.on, part],
        });
      }),
    ];
  });
}
