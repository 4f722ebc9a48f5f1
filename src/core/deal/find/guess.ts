import type { Deal, FoundFigure } from "../deal";
import { MOST_PAYMENTS, type Terms } from "../terms";
import { RATE_DECIMALS } from "./finders";
import { MEASURES, type MeasureName } from "./measure";

const EVERYDAY_RATE = 7 * 10 ** RATE_DECIMALS;
const EVERYDAY_TERM = 60;

/** Where to start looking: near the answer where a formula says so, else at an everyday figure. */
export function firstGuess(
  figure: Exclude<FoundFigure, "payment">,
  known: MeasureName,
  deal: Deal,
  terms: Terms | null,
): number {
  const asked = MEASURES[known].asked(deal);
  const { price, tradeIn, down } = deal.structure;
  const owedWithoutPrice = tradeIn.owed - tradeIn.allowance;
  const affordable = known === "payment" && terms ? asked * terms.solver.worth.level : asked;
  switch (figure) {
    case "price": {
      const share = down && "percent" in down ? Math.min(Number(down.percent) / 100, 0.9999) : 0;
      const amount = down && "amount" in down ? down.amount : 0;
      return (affordable - owedWithoutPrice + amount) / (1 - share);
    }
    case "down":
      return (price ?? 0) + owedWithoutPrice - affordable;
    case "allowance":
      return (price ?? 0) + tradeIn.owed - affordable;
    case "downPercent":
      return price ? (10_000 * (price + owedWithoutPrice - affordable)) / price : 0;
    case "yearlyRate":
      return EVERYDAY_RATE;
    case "payments":
      return Math.min(EVERYDAY_TERM, MOST_PAYMENTS);
    case "balloon":
    case "extra":
    case "lump":
      return (price ?? 0) / 10;
  }
}
