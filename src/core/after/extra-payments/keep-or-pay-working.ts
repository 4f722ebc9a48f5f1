import { periodsPerYear } from "../../calendar";
import type { LoanQuote } from "../../kinds/loan/quote";
import { moneyWriter, type WorkingStep } from "../../working";
import type { KeepOrPay } from "./keep-or-pay";
import type { YearlyReturn } from "./yearly-return";

/** Money in hand right after a payment, in minor units, and what it could earn. */
type InHand = { after: number; amount: number; yearlyReturn: YearlyReturn };

/**
 * How it comes about what money in hand leaves, kept or paid in.
 *
 * @param quote an answered deal; the loan as planned
 * @param asked what is in hand
 * @param told what was answered to that
 * @example
 * const yearlyReturn = { rate: "4.2", tax: "0" };
 * const told = keepOrPay(campervan, 24, 400_000, yearlyReturn).value;
 * keepOrPayWorking(campervan, { after: 24, amount: 400_000, yearlyReturn }, told).filled // "5,146.84 − 4,715.53"
 */
export function keepOrPayWorking(
  quote: LoanQuote,
  { after, amount, yearlyReturn: { rate, tax } }: InHand,
  told: KeepOrPay,
): WorkingStep {
  const money = moneyWriter(quote);
  const perYear = periodsPerYear(quote.filled.plan.frequency);
  const { kept, paidIn, difference, tieReturn, credited, earlyFee, rest, plannedEnd, paidInEnd } = told;
  const grows = `(1 + ${rate} %${Number(tax) > 0 ? ` × (1 − ${tax} %)` : ""})`;
  const parts = [
    { text: money(credited), name: "what repays principal" },
    ...(earlyFee > 0 ? [{ text: money(earlyFee), name: "its charge for paying early" }] : []),
    ...(rest > 0 ? [{ text: money(rest), name: "what is left and grows" }] : []),
  ];
  return {
    name: "What paying it in leaves more",
    formula: "paid in − kept",
    filled: `${money(paidIn)} − ${money(kept)}`,
    result: money(difference),
    remark: `Both on the day of payment ${plannedEnd}, the last as planned.`,
    parts: [
      {
        name: "Kept",
        formula: "money × (1 + return × (1 − tax))^(payments to the planned end ÷ payments a year)",
        filled: `${money(amount)} × ${grows}^(${plannedEnd - after}/${perYear})`,
        result: money(kept),
        rounding: "Rounded half up, once.",
        parts: [],
      },
      {
        name: "Paid in",
        formula:
          "what is no longer paid, each grown from its payment to the planned end, + what is left, grown",
        filled: `from payment ${after + 1} to ${plannedEnd}, with the loan paid off with payment ${paidInEnd}`,
        result: money(paidIn),
        rounding: "Rounded half up, once.",
        parts: [
          {
            name: "What becomes of the money",
            formula: parts.map(({ name }) => name).join(" + "),
            filled: parts.map(({ text }) => text).join(" + "),
            result: money(amount),
            parts: [],
          },
        ],
      },
      {
        name: "Return at which both leave the same",
        formula: "the return at which what is no longer paid is worth what was paid in",
        filled: `${money(amount - rest)} paid in`,
        result: tieReturn === null ? "none" : `${tieReturn.toFixed(4)} %`,
        ...(Number(tax) > 0 && { remark: "Before tax." }),
        parts: [],
      },
    ],
  };
}
