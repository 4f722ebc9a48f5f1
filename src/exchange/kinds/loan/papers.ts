import type { LoanQuote } from "@/core";
import { costOfCredit } from "@/core/kinds/loan";
import { loanChart } from "../../charts/chart-lines";
import type { PaperKind } from "../kind/paper-kind";
import type { Segment, SentenceWriter } from "../kind/segment";
import { costOfLoan } from "./cost-paper";
import { loanEnding } from "./words/ending";
import { loanLine } from "./words/line";
import { besideText, term } from "./words/sentence";

/** The APR as it was signed, or as it is worked out. */
function aprOf(quote: LoanQuote): string | undefined {
  if (quote.keptCost) return quote.keptCost.apr.toFixed(2);
  const cost = costOfCredit(quote);
  return cost.ok ? cost.value.apr.toFixed(2) : undefined;
}

function sentence(quote: LoanQuote, write: SentenceWriter): readonly Segment<string>[] {
  const { money, date, say } = write;
  const { loanAmount, payments, payment, finalPayment, firstDate, financeCharge, balloon } = quote;
  const isSingle = payments === 1;
  const apr = aprOf(quote);
  const when = firstDate === null ? "" : `, ${isSingle ? "on" : "the first on"} ${date(firstDate)}`;
  const flat = quote.trueYearlyRate === undefined ? "" : " flat";
  return [
    "You finance ",
    { strong: money(loanAmount) },
    " ",
    ...term(quote),
    " ",
    { strong: money(isSingle ? finalPayment : payment) },
    `${besideText(quote, money).replace(/,$/, "")}${when}, at ${say(`${quote.yearlyRate} %`)}${flat}`,
    ...(apr === undefined ? [] : [" (", { strong: say(`APR ${apr} %`) }, ")"]),
    ". Financing costs you ",
    { strong: money(financeCharge) },
    ...(isSingle ? [] : [`; the last payment is ${money(finalPayment)}`]),
    ...(balloon > 0 ? [", and ", { strong: money(balloon) }, " is left to pay at the end"] : []),
    `. ${loanEnding(quote, write)}`.trimEnd(),
  ];
}

/** Whether the vehicle can be given back in place of the balloon. */
const isReturnable = ({ filled }: LoanQuote) => filled.plan.balloon?.returnable !== undefined;

const ROUNDED = { nearest: "to the nearest", up: "up to the next", down: "down to the last" } as const;

function assumptions(quote: LoanQuote): string[] {
  const { plan } = quote.filled;
  const { dayCount = "equal", compounding = "payments" } = plan;
  const step = plan.roundingStep ?? 1;
  const coin = (step / 10 ** quote.decimals).toFixed(quote.decimals);
  const counts =
    quote.kind === "flatRate"
      ? "Interest is on the original amount for the whole term."
      : dayCount === "equal"
        ? "Interest counts equal periods."
        : `Interest counts days, ${dayCount}.`;
  return [
    counts,
    ...(compounding === "payments" || quote.kind === "flatRate" ? [] : [`It is compounded ${compounding}.`]),
    `Payments are rounded ${ROUNDED[plan.rounding]} ${coin}; the last one closes the loan.`,
  ];
}

/** What of a loan stands on papers. */
export const LOAN_PAPERS: PaperKind<LoanQuote> = {
  line: loanLine,
  sentence,
  compared: (quote, write) => {
    const { money, say } = write;
    const apr = aprOf(quote);
    return [
      ["Payment", money(quote.payments === 1 ? quote.finalPayment : quote.payment)],
      ["Payments", String(quote.payments)],
      ["Due at signing", money(quote.dueAtSigning.total)],
      ["APR", apr === undefined ? "–" : say(`${apr} %`)],
      ["Finance charge", money(quote.financeCharge)],
      ["Total cost", money(quote.totalCost)],
      [
        "At the end",
        quote.balloon > 0
          ? `${money(quote.balloon)} to pay, then yours${isReturnable(quote) ? ", or given back" : ""}`
          : "yours",
      ],
    ];
  },
  facts: (quote, { money, say }) => {
    const apr = aprOf(quote);
    const { payments, payment, finalPayment, dueAtSigning, totalCost, balloon } = quote;
    return {
      payment: money(payments === 1 ? finalPayment : payment),
      payments: term(quote)
        .map(piece => (typeof piece === "string" ? piece : "strong" in piece ? piece.strong : piece.text))
        .join("")
        .replace(/^over /, "")
        .replace(/ of$/, ""),
      atSigning: money(dueAtSigning.total),
      totalCost: money(totalCost),
      apr: apr === undefined ? null : say(`${apr} %`),
      atEnd:
        balloon === 0
          ? "it is yours"
          : `${money(balloon)} to pay, then it is yours${isReturnable(quote) ? "; or give it back" : ""}`,
    };
  },
  tally: ({ lines, loanAmount }) => ({
    lines: lines.map(({ name, sign, amount }) => ({ name, sign: sign < 0 ? -1 : 1, amount })),
    name: "Loan amount",
    total: loanAmount,
  }),
  assumptions,
  cost: costOfLoan,
  measured: ({ amountFinanced }) => amountFinanced,
  chart: ({ schedule, loanAmount }) => ({
    lines: loanChart(schedule),
    start: loanAmount,
    name: "what is owed",
  }),
};
