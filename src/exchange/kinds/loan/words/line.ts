import { FREQUENCY_NAMES, type LoanQuote } from "@/core";
import type { SentenceWriter } from "../../kind/segment";

/**
 * The answer of a loan in one line: what is lent, how it is repaid, and what it costs.
 *
 * @example loanLine(quote, write) // "$38,425.00 over 72 monthly payments of $645.74 at 6.49 % costs $8,068.18 to finance."
 */
export function loanLine(quote: LoanQuote, { money, date, say }: SentenceWriter): string {
  const { loanAmount, payments, payment, firstDate, yearlyRate, financeCharge, isListed, finalPayment } =
    quote;
  const often = isListed ? "listed" : FREQUENCY_NAMES[quote.filled.plan.frequency].adjective;
  const paid =
    payments === 1
      ? `with one payment of ${money(finalPayment)}`
      : `over ${payments} ${often} payments of ${money(payment)}`;
  const first = firstDate === null ? "" : `, ${payments === 1 ? "on" : "the first on"} ${date(firstDate)},`;
  return `${money(loanAmount)} ${paid}${first} at ${say(`${yearlyRate} %`)} costs ${money(financeCharge)} to finance.`;
}
