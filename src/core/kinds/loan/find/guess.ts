import { levelRate } from "../../../annuity";
import { periodsPerYear } from "../../../calendar";
import { RATE_PLACES } from "../../../find";
import { nominalRate } from "../../../interest";
import { MOST_PAYMENTS } from "../../../limits";
import { cashFor, type Structure, settle } from "../../../structure";
import type { FoundFigure, LoanDeal } from "../deal";
import type { Terms } from "../plan";
import { MEASURES, type MeasureName } from "./measure";

const EVERYDAY_RATE = 7;
const EVERYDAY_TERM = 60;

/** Where to start looking: near the answer where a formula says so, else at an everyday figure. */
export function firstGuess(
  figure: Exclude<FoundFigure, "payment">,
  known: MeasureName,
  deal: LoanDeal,
  terms: Terms | null,
): number {
  const { structure } = deal;
  const price = structure.price ?? 0;
  const affordable = Math.round(affordableAmount(known, deal, terms));
  switch (figure) {
    case "price":
      return (affordable - settle({ ...structure, price: 0 }).loanAmount) / shareFinanced(structure);
    case "down":
      return cashFor(structure, affordable);
    case "allowance":
      return settle(structure).loanAmount - affordable;
    case "downPercent":
      return price > 0 ? (10_000 * cashFor(structure, affordable)) / price : 0;
    case "yearlyRate":
      return (ratePercent(known, deal) ?? EVERYDAY_RATE) * 10 ** RATE_PLACES;
    case "payments":
      return Math.min(EVERYDAY_TERM, MOST_PAYMENTS);
    case "balloon":
    case "extra":
    case "lump":
      return price / 10;
  }
}

const LARGE_PRICE = 1_000_000_000;
const SMALLEST_SHARE = 1e-4;

/** What a rise of the price adds to what is financed: less than all of it where the cash down is a percent. */
export function shareFinanced(structure: Structure): number {
  const at = (price: number) => settle({ ...structure, price }).loanAmount;
  return Math.max((at(LARGE_PRICE) - at(0)) / LARGE_PRICE, SMALLEST_SHARE);
}

/** The amount that a payment repays, at the far end of those that round to it; a cost itself. */
function affordableAmount(known: MeasureName, deal: LoanDeal, terms: Terms | null): number {
  const asked = MEASURES[known].asked(deal);
  if (known !== "payment" || !terms) return asked;
  const { rule, step } = terms.rounding;
  const { solved, amounts } = terms.solver.worth;
  const payment = asked + step * { nearest: 0.5, up: 0, down: 1 }[rule];
  return (payment * solved) / (1 + interestShare(terms)) + amounts;
}

/** How many times the part of the principal in a first payment its interest is; 0 where payments are level. */
function interestShare({ draft, solver }: Terms): number {
  const run = draft.runs.find(({ pay }) => pay.kind === "principal");
  return run ? run.rate.value * solver.worth.solved : 0;
}

/** The yearly rate of a level loan, which an odd first period or another shape moves a little. */
function ratePercent(known: MeasureName, { structure, plan, from }: LoanDeal): number | undefined {
  const price = structure.price ?? 0;
  const amount = settle(structure).loanAmount;
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
