import { type LoanQuote, payoffAfter, payoffOn } from "@/core";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import { inNotation } from "../notation";
import type { Paper } from "../paper-parts/paper";
import { type About, type AnsweredOption, paperOf } from "./about";
import type { Made } from "./made";
import type { PaperDetails } from "./paper-details";

const MONTHS = 12;

/**
 * What pays a loan off on a day, if it is paid as scheduled: of a flat rate with what is refunded of its charge.
 *
 * @param option whose payoff it is
 * @param about whose paper it is, and for whom
 * @param details the day; the paper's own while the loan runs, else after its first year, where it was not said
 */
export function payoffEstimate(
  { quote }: AnsweredOption,
  about: About,
  details: PaperDetails,
): Made<{ paper: Paper }> {
  if (quote.kind === "lease")
    return {
      ok: false,
      sentence: "A payoff is of a loan; what ends a lease early stands in its repayment view.",
    };
  const payoff = payoffOf(quote, about, details);
  if (!payoff.ok) return { ok: false, sentence: payoff.failure.sentence };
  const { value } = payoff;
  const { notation } = about;
  const { money, date, say } = sentenceWriter(quote.deal.currency, notation);
  const { afterPayment, balance, interest, earlyFee, settle, perDay, goodThrough, settleThrough } = value;
  const when = value.date === null ? `right after payment ${afterPayment}` : `on ${date(value.date)}`;
  const facts: (readonly [string, string])[] = [
    [afterPayment === 0 ? "Principal" : `Principal after payment ${afterPayment}`, money(balance)],
    [`Interest since ${afterPayment === 0 ? "the start" : `payment ${afterPayment}`}`, money(interest)],
    ...(earlyFee > 0 ? [["Charge for paying early", money(earlyFee)] as const] : []),
    ["The sum on that day", money(settle)],
    ...(perDay !== null && perDay > 0
      ? [["Each further day", say((perDay / 10 ** quote.decimals).toFixed(4))] as const]
      : []),
    ...(goodThrough !== null && settleThrough !== null
      ? [[`The sum good through ${date(goodThrough)}`, money(settleThrough)] as const]
      : []),
    ...(value.refunds ?? []).map(
      ({ method, refund, payoff: sum }) =>
        [`${REFUNDS[method]}: ${money(refund)} of the charge refunded`, money(sum)] as const,
    ),
  ];
  return {
    ok: true,
    paper: paperOf("Payoff estimate", about, [
      {
        kind: "paragraph",
        size: "large",
        spans: [
          `Paid as scheduled, the loan is paid off ${when} by `,
          { strong: money(settle) },
          goodThrough === null || settleThrough === null
            ? "."
            : `; ${money(settleThrough)} is good through ${date(goodThrough)}.`,
        ],
      },
      {
        kind: "table",
        name: "Payoff",
        headings: ["", "Amount"],
        words: 1,
        rows: facts.map(cells => ({ kind: "line", cells })),
      },
      {
        kind: "paragraph",
        size: "small",
        spans: [
          inNotation(
            [
              "Estimated, if paid as scheduled: who holds the account gives the binding figure.",
              value.passesPayment ? "A payment falls due by then: the sum takes it as not made." : "",
              value.note ?? "",
            ]
              .filter(Boolean)
              .join(" "),
            notation,
          ),
        ],
      },
    ]),
  };
}

const REFUNDS = { actuarial: "Actuarial", sumOfDigits: "By the sum of the digits" } as const;

function payoffOf(quote: LoanQuote, { day, place }: About, { payoff, through }: PaperDetails) {
  const terms = { place, goodThrough: through };
  const asked = payoff ?? usualDay(quote, day);
  return "after" in asked ? payoffAfter(quote, asked.after, terms) : payoffOn(quote, asked.date, terms);
}

/** The paper's own day while the loan runs, else after its first year. */
function usualDay(
  { startDate, finalDate, payments }: LoanQuote,
  day: number,
): { date: number } | { after: number } {
  return startDate !== null && finalDate !== null && day >= startDate && day <= finalDate
    ? { date: day }
    : { after: Math.min(MONTHS, payments) };
}
