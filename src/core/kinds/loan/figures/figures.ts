import { regularPayment } from "../plan";
import type { LoanSummary } from "../quote";
import { LOAN_COSTS, type LoanFigure } from "./costs";

const { dueAtSigning, financeCharge, totalCost, apr, effectiveRate, ...otherCosts } = LOAN_COSTS;

/** Every figure of a loan, by its name in a file and in the order in which a file has them. */
export const LOAN_FIGURES = {
  loanAmount: {
    name: "Loan amount",
    unit: "money",
    value: ({ quote }) => quote.loanAmount,
    compared: { part: "amounts" },
  },
  amountFinanced: {
    name: "Amount financed",
    unit: "money",
    value: ({ quote }) => quote.amountFinanced,
    compared: { part: "amounts" },
  },
  dueAtSigning,
  /** Of a personal loan. */
  cashReceived: { name: "Amount paid out", unit: "money", value: ({ quote }) => quote.cashReceived },
  payment: {
    name: "Payment",
    unit: "money",
    value: ({ quote }) => quote.payment,
    compared: { part: "payment", best: "sameTerms", isMain: true },
    mapped: ({ priced }) => regularPayment(priced.loan),
  },
  payments: {
    name: "Payments",
    unit: "payments",
    value: ({ quote }) => quote.payments,
    filed: ({ quote }) => paymentsIn(quote),
    compared: { part: "payment" },
  },
  finalPayment: { name: "Last payment", unit: "money", value: ({ quote }) => quote.finalPayment },
  totalOfPayments: { name: "Total of payments", unit: "money", value: ({ quote }) => quote.totalOfPayments },
  financeCharge,
  totalCost,
  price: { name: "Price", unit: "money", value: ({ quote }) => quote.price },
  allowance: { name: "Trade-in allowance", unit: "money", value: ({ quote }) => quote.allowance },
  down: { name: "Cash down", unit: "money", value: ({ quote }) => quote.down },
  yearlyRate: {
    name: "Yearly rate",
    unit: "percent",
    value: ({ quote }) => quote.yearlyRate,
    compared: { part: "payment" },
  },
  /** Of the price, where it was found. */
  downPercent: { name: "Percent down", unit: "percent", value: ({ quote }) => percentDownFound(quote) },
  /** With every payment, where it was found. */
  extra: {
    name: "Extra payment",
    unit: "money",
    value: ({ quote }) => (quote.deal.find === "extra" ? quote.extraEach : undefined),
  },
  /** Once on a date, where it was found. */
  lump: { name: "Extra on a date", unit: "money", value: ({ quote }) => lumpFound(quote) },
  /** How many payment dates something is paid on, where it is not all of them. */
  paymentsMade: {
    name: "Payments made",
    unit: "payments",
    value: ({ quote }) => (quote.paymentsMade === paymentsIn(quote) ? undefined : quote.paymentsMade),
  },
  balloon: {
    name: "Balloon",
    unit: "money",
    value: ({ quote }) =>
      quote.deal.find === "balloon" || balloonIn(quote) > 0 ? balloonIn(quote) : undefined,
  },
  /** What extras leave of a balloon that was found, where it is not all of it. */
  balloonPaid: {
    name: "Balloon paid",
    unit: "money",
    value: ({ quote }) => (balloonIn(quote) === quote.balloon ? undefined : quote.balloon),
  },
  /** No figure of a file: a program knows. */
  ownedAtEnd: {
    name: "Owned at the end",
    unit: "words",
    value: ({ quote }) => (quote.deal.structure.personal ? undefined : "the vehicle"),
    filed: () => undefined,
    compared: { part: "end" },
  },
  firstDate: { name: "First payment", unit: "date", value: ({ quote }) => quote.firstDate },
  finalDate: {
    name: "Ends",
    unit: "date",
    value: ({ quote }) => quote.finalDate,
    compared: { part: "end" },
  },
  apr,
  effectiveRate,
  /** Of a flat-rate loan. */
  trueYearlyRate: { name: "True yearly rate", unit: "percent", value: ({ quote }) => quote.trueYearlyRate },
  ...otherCosts,
} satisfies Record<string, LoanFigure>;

/** What was found stands under its own name, whatever extras make of it. */
const paymentsIn = ({ deal, filled, payments }: LoanSummary): number =>
  deal.find === "payments" ? (filled.plan.payments ?? payments) : payments;

const balloonIn = ({ deal, agreedBalloon, balloon }: LoanSummary): number =>
  deal.find === "balloon" ? agreedBalloon : balloon;

function percentDownFound({ deal, filled }: LoanSummary): string | undefined {
  const { down } = filled.structure;
  return deal.find === "downPercent" && down && "percent" in down ? down.percent : undefined;
}

/** The extra on a date that was left open. */
function lumpFound({ deal, filled }: LoanSummary): number | undefined {
  if (deal.find !== "lump") return undefined;
  const open = deal.plan.extra?.once?.findIndex(({ amount }) => amount === null) ?? -1;
  return filled.plan.extra?.once?.[open]?.amount ?? 0;
}
