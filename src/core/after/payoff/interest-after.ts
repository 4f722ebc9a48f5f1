import type { LoanQuote } from "../../kinds/loan/quote";

/**
 * The interest that a loan has still to earn after a payment, as planned.
 *
 * @param quote an answered deal
 * @param number of the payment; 0 for the start
 * @returns minor units
 * @example interestAfter(quote, quote.payments) // 0
 */
export const interestAfter = ({ schedule, totalInterest }: LoanQuote, number: number): number =>
  schedule.reduce(
    (left, row) => (row.number <= number && row.kind !== "balloon" ? left - row.interest : left),
    totalInterest,
  );
