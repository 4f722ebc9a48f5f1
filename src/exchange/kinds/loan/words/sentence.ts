import { FREQUENCY_NAMES, type LoanQuote } from "@/core";
import type { Segment, SentenceWriter } from "../../kind/segment";

/** The figures of a loan's sentence that an officer can pick. */
export type LoanSentenceFigure =
  | "price"
  | "down"
  | "payments"
  | "payment"
  | "firstPayment"
  | "yearlyRate"
  | "balloon";

type Segments = Segment<LoanSentenceFigure>[];

/**
 * The answer of a loan in one plain sentence, and what it costs in another. What it ends with where payments are left out,
 * change, or end before their time is said by `loanEnding`, which few loans need.
 */
export function loanSentence(quote: LoanQuote, write: SentenceWriter): Segments {
  const { money, date, say } = write;
  const { payments, firstDate, finalPayment, balloon } = quote;
  const isSingle = payments === 1;
  const beside = besideText(quote, money);
  return [
    ...purchase(quote, money),
    " ",
    { strong: money(quote.loanAmount) },
    quote.cashReceived === undefined ? " " : `, of which ${money(quote.cashReceived)} is paid out, `,
    ...term(quote),
    " ",
    {
      figure: "payment",
      text: money(isSingle ? finalPayment : quote.payment),
      ...(!beside && { after: "," }),
    },
    `${beside} `,
    ...(firstDate === null
      ? []
      : ([
          isSingle ? "on " : "the first on ",
          { figure: "firstPayment", text: date(firstDate), after: "," },
          " ",
        ] as const)),
    "at ",
    ...rate(quote, say),
    " It costs ",
    { strong: money(quote.financeCharge) },
    ` to finance${isSingle ? "" : `; the last payment is ${money(finalPayment)}`}`,
    ...(balloon > 0
      ? ([", and ", { figure: "balloon", text: money(balloon) }, " is left to pay at the end"] as const)
      : []),
    ".",
  ];
}

/** What the money is for: a vehicle at a price, or the purpose of a personal loan. */
function purchase({ price, down, filled }: LoanQuote, money: SentenceWriter["money"]): Segments {
  const { personal } = filled.structure;
  const [forPrice, withDown] = [
    { figure: "price", text: money(price) },
    { figure: "down", text: money(down) },
  ] as const;
  return personal
    ? [
        `${personal.purpose}: for `,
        forPrice,
        " asked for",
        ...(down > 0 ? [" with ", withDown, " down"] : []),
        ", borrow",
      ]
    : ["At a price of ", forPrice, " with ", withDown, " cash down, finance"];
}

/** Over how many payments: none where an extra ends the loan before the first. */
export function term(quote: LoanQuote): Segments {
  const { payments, isListed, filled } = quote;
  if (payments === 0) return ["repaid before the first payment of"];
  if (payments === 1) return ["with ", { figure: "payments", text: "one" }, " payment of"];
  const text = `${payments} ${isListed ? "listed" : FREQUENCY_NAMES[filled.plan.frequency].adjective}`;
  return ["over ", isListed ? text : { figure: "payments", text }, ` payments${leadText(quote)}`];
}

/** What leads from the number of payments to the payment, as each plan is said aloud. */
function leadText(quote: LoanQuote): string {
  const { interestOnly = 0, deferred, kind } = quote.filled.plan;
  if (quote.isListed) return ", one of them";
  if (interestOnly > 0) return `, the first ${interestOnly} just interest, then`;
  if (deferred) return `, none on the first ${deferred.payments} dates, then`;
  if (kind === "equalPrincipal") return " falling from";
  return staysLevel(quote) || quote.filled.plan.skippedMonths ? " of" : " starting at";
}

/** Whether every payment date but the last asks for the same payment. */
const staysLevel = ({ isLevel, paymentsMade, payments }: LoanQuote): boolean =>
  isLevel && paymentsMade === payments;

/** What is paid with each payment, where anything is. */
export function besideText(
  { charges, extraEach, filled }: LoanQuote,
  money: SentenceWriter["money"],
): string {
  const each = charges?.all.each ?? 0;
  const parts = [
    each > 0 ? ` with charges of ${money(each)}` : "",
    extraEach > 0 ? ` and ${money(extraEach)} extra ${withWhich(filled.plan.extra?.each)}` : "",
  ].join("");
  return parts && `${parts},`;
}

function withWhich({ from = 1, to }: { from?: number; to?: number } = {}): string {
  if (to !== undefined) return `with payments ${from} to ${to}`;
  return from > 1 ? `with each from payment ${from} on` : "each time";
}

function rate({ yearlyRate, trueYearlyRate }: LoanQuote, say: SentenceWriter["say"]): Segments {
  const text = say(`${yearlyRate} %`);
  if (trueYearlyRate === undefined) return [{ figure: "yearlyRate", text, after: "." }];
  const flat = say(` flat, a true yearly rate of ${trueYearlyRate.toFixed(2)} %.`);
  return [{ figure: "yearlyRate", text }, flat];
}
