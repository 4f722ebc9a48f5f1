import { FREQUENCY_NAMES, type LeaseQuote } from "@/core";
import type { SentenceWriter } from "../../kind/segment";

/**
 * The answer of a lease in one line: what is paid, down to what, and what using it costs.
 *
 * @example leaseLine(quote, write) // "36 monthly payments of $735.48, from $40,000.00 down to $18,240.00, cost $4,717.28 in rent."
 */
export function leaseLine(quote: LeaseQuote, { money }: Pick<SentenceWriter, "money">): string {
  const { payments, payment, cost, residual, rentCharge, filled } = quote;
  const { adjective } = FREQUENCY_NAMES[filled.plan.frequency];
  const isAtOnce = filled.plan.inAdvance === payments;
  const isOne = isAtOnce || payments === 1;
  const paid = isOne
    ? `One payment of ${money(payment)}${isAtOnce ? " at signing" : ""}`
    : `${payments} ${adjective} payments of ${money(payment)}`;
  return `${paid}, from ${money(cost)} down to ${money(residual)}, ${isOne ? "costs" : "cost"} ${money(rentCharge)} in rent.`;
}
