import type { EarlyGrid, LoanQuote } from "@/core";

/** How much of a payment, and of a loan, the smallest extra of a grid is about. */
const OF_PAYMENT = 0.04;
const OF_LOAN = 0.03;

/**
 * What a grid of extra payments begins with: none, and round amounts that double, by what the loan and its payment are.
 *
 * @example gridAmounts(quote).each // [0, 2500, 5000, 10000, 20000] of a payment of 645.74
 */
export function gridAmounts({
  payment,
  loanAmount,
  decimals,
}: Pick<LoanQuote, "payment" | "loanAmount" | "decimals">): Pick<EarlyGrid, "each" | "once"> {
  const whole = 10 ** decimals;
  const each = rounded((payment * OF_PAYMENT) / whole) * whole;
  const once = rounded((loanAmount * OF_LOAN) / whole) * whole;
  return { each: [0, each, 2 * each, 4 * each, 8 * each], once: [0, once, 2 * once, 4 * once] };
}

const ROUND = [1, 2.5, 5, 10];

/** The nearest round amount, at least 1: 25 of 20.72, 1,000 of 1,153. */
function rounded(amount: number): number {
  if (amount < 1) return 1;
  const power = 10 ** Math.floor(Math.log10(amount));
  const nearest = ROUND.reduce((best, each) =>
    Math.abs(each * power - amount) < Math.abs(best * power - amount) ? each : best,
  );
  return Math.max(Math.round(nearest * power), 1);
}
