import { groupedAmount } from "@/core";
import type { Answered, QuotedFigure } from "@/core/kinds/kind";

/** A cost as it is shown: its name, its figure, and what it includes. */
type ShownCost<Name> = { figure: Name; name: string; text: string; includes: string };

type AnyFigure<Quote> = QuotedFigure<Quote, never>;
type Costs<Name extends string, Quote> = Readonly<
  Record<Name, AnyFigure<Quote> & Required<Pick<AnyFigure<Quote>, "cost">>>
>;

/**
 * What a deal really costs, each figure with what it includes in a few words.
 *
 * @param usesEffectiveRate whether credit is compared by its effective rate where the deal is
 */
export function shownCosts<Name extends string, Quote extends { decimals: number }>(
  costs: Costs<Name, Quote>,
  answered: Answered<Quote>,
  usesEffectiveRate: boolean,
): ShownCost<Name>[] {
  const shown: ShownCost<Name>[] = [];
  for (const figure of Object.keys(costs) as Name[]) {
    const { name, cost, ...entry } = costs[figure];
    if (usesEffectiveRate || !cost.isEffectiveRate)
      shown.push({
        figure,
        name: cost.name ?? name,
        text: figureText(entry, answered),
        includes: cost.includes(answered),
      });
  }
  return shown;
}

/** An amount or a percent as it is shown: "8,068.18", "6.4912 %"; a sign for one that is not known yet. */
function figureText<Quote extends { decimals: number }>(
  { value, unit, places, ofRates }: Pick<QuotedFigure<Quote, never>, "value" | "unit" | "places" | "ofRates">,
  answered: Answered<Quote>,
): string {
  if (ofRates && !answered.rates) return NOT_YET;
  const shown = value(answered);
  if (typeof shown !== "number") return shown ?? "none";
  return unit === "money" ? groupedAmount(shown, answered.quote.decimals) : `${shown.toFixed(places)} %`;
}

const NOT_YET = "…";
