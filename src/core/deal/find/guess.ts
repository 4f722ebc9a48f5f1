import { levelRate } from "../../annuity";
import { periodsPerYear } from "../../calendar";
import { nominalRate } from "../../interest";
import type { Deal, FoundFigure } from "../deal";
import { cashDown } from "../structure";
import { MOST_PAYMENTS, type Terms } from "../terms";
import { RATE_DECIMALS } from "./finders";
import { MEASURES, type MeasureName } from "./measure";

const EVERYDAY_RATE = 7;
const EVERYDAY_TERM = 60;

/** Where to start looking: near the answer where a formula says so, else at an everyday figure. */
export function firstGuess(
  figure: Exclude<FoundFigure, "payment">,
  known: MeasureName,
  deal: Deal,
  terms: Terms | null,
): number {
  const { price, tradeIn, down } = deal.structure;
  const owedWithoutPrice = tradeIn.owed - tradeIn.allowance;
  const affordable = affordableAmount(known, deal, terms);
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
      return (ratePercent(known, deal) ?? EVERYDAY_RATE) * 10 ** RATE_DECIMALS;
    case "payments":
      return Math.min(EVERYDAY_TERM, MOST_PAYMENTS);
    case "balloon":
    case "extra":
    case "lump":
      return (price ?? 0) / 10;
  }
}

/** The amount that a payment repays, at the far end of those that round to it; a cost itself. */
function affordableAmount(known: MeasureName, deal: Deal, terms: Terms | null): number {
  const asked = MEASURES[known].asked(deal);
  if (known !== "payment" || !terms) return asked;
  const { rule, step } = terms.rounding;
  const { level, amounts } = terms.solver.worth;
  return (asked + step * { nearest: 0.5, up: 0, down: 1 }[rule]) * level + amounts;
}

/** The yearly rate of a level loan, which an odd first period or another shape moves a little. */
function ratePercent(known: MeasureName, { structure, plan, from }: Deal): number | undefined {
  const { tradeIn } = structure;
  const price = structure.price ?? 0;
  const down = cashDown(structure.down ?? { amount: 0 }, price);
  const amount = price - tradeIn.allowance + tradeIn.owed - down;
  const count = plan.payments ?? EVERYDAY_TERM;
  const cost = (from?.value ?? 0) - (known === "totalCost" ? price : 0);
  const payment = known === "payment" ? (plan.payment ?? 0) : (amount + cost) / count;
  const last = plan.balloon && "amount" in plan.balloon ? plan.balloon.amount : 0;
  if (plan.kind === "flatRate") {
    return amount > 0
      ? ((100 * (payment * count - amount)) / amount / count) * periodsPerYear(plan.frequency)
      : 0;
  }
  const periodic = levelRate({ lent: amount, payment, count, last, lastAfter: count });
  if (periodic === undefined) return undefined;
  return 100 * nominalRate(periodic, plan.frequency, plan.compounding ?? "payments");
}
