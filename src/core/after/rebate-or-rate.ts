import type { LoanDeal } from "../kinds/loan/deal";
import { summarizeLoan } from "../kinds/loan/quote";
import { failure, type Result, success } from "../result";
import { lastWhole } from "../solve";
import type { Rebate } from "../structure";

/** Where a rebate and a low rate without it cost the same, in all. */
export type RebateOrRate = {
  /** Total cost with the rebate at the deal's own rate, in minor units. */
  costWithRebate: number;
  /** Total cost without it at the low rate. */
  costAtLowRate: number;
  /** The highest rate without a rebate that costs no more than the rebate; null where even 0 % costs more. */
  tieRate: string | null;
  /** The least rebate that costs no more than the low rate; null where even the whole price does not. */
  tieRebate: number | null;
};

/**
 * Sets a deal with its rebate against the same deal without one at a low rate, by what each costs in all, and gives the
 * rate and the rebate at which they tie.
 *
 * @param deal a deal that asks for its payment and has at least one rebate; the last one is what is varied
 * @param lowRate percent a year, as typed
 * @returns the two costs and where they tie, in minor units and percent a year; the failure of a side without an answer
 * @example
 * const offer = rebateOrRate(rebated, "1.9");
 * offer.ok && offer.value.tieRebate // 508254
 */
export function rebateOrRate(deal: LoanDeal, lowRate: string): Result<RebateOrRate> {
  const { rebates = [] } = deal.structure;
  if (deal.find !== "payment")
    return failure("payment", "To compare them, the payment must be what is found.");
  if (rebates.length === 0) return failure("rebates", "There is no rebate to compare with; give one.");
  const withRebate = summarizeLoan(deal);
  if (!withRebate.ok) return withRebate;
  const plain = withRebates(deal, rebates.slice(0, -1));
  const atLowRate = summarizeLoan({ ...plain, plan: { ...plain.plan, yearlyRate: lowRate } });
  if (!atLowRate.ok) return atLowRate;
  const [costWithRebate, costAtLowRate] = [withRebate.value.totalCost, atLowRate.value.totalCost];
  const tie = summarizeLoan({
    ...plain,
    plan: { ...plain.plan, yearlyRate: null },
    find: "yearlyRate",
    from: { figure: "totalCost", value: costWithRebate },
  });
  return success({
    costWithRebate,
    costAtLowRate,
    tieRate: tie.ok ? tie.value.yearlyRate : null,
    tieRebate: leastRebate(deal, costAtLowRate),
  });
}

// A cost of exactly so much is on the right side.
const HALF = 0.5;

/** The least amount of the last rebate with which the deal costs no more than so much. */
function leastRebate(deal: LoanDeal, most: number): number | null {
  const { rebates = [], price } = deal.structure;
  const last = rebates.at(-1) as Rebate;
  const others = rebates.slice(0, -1);
  const costWith = (amount: number) => {
    const quote = summarizeLoan(withRebates(deal, [...others, { ...last, amount }]));
    // Where a rebate takes away all that would be lent, no deal is left that could cost too much.
    return quote.ok ? quote.value.totalCost : Number.NEGATIVE_INFINITY;
  };
  const highest = price ?? 0;
  const least = 1 + lastWhole(amount => most - costWith(amount) + HALF, 0, highest, last.amount);
  return least <= highest && Number.isFinite(costWith(least)) ? least : null;
}

function withRebates(deal: LoanDeal, rebates: readonly Rebate[]): LoanDeal {
  return { ...deal, structure: { ...deal.structure, rebates } };
}
