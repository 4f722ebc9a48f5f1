import { leaseEffectiveRate } from "./after/effective-rate";
import { LEASE_COSTS, type LeaseFigure } from "./costs";
import { LEASE_RATE_NOTICE, type LeaseQuote } from "./pricing";

const { payment, depreciation, rentCharge, totalIfReturned, ...otherCosts } = LEASE_COSTS;

/**
 * Every figure of a lease, by its name in a file and in the order in which a file has them; a point in a name is a level
 * there. What a loan has by another name stands under both: so one program can read either.
 */
export const LEASE_FIGURES = {
  grossCapitalizedCost: {
    name: "Gross capitalized cost",
    unit: "money",
    value: ({ quote }) => quote.gross,
  },
  capitalizedCostReduction: {
    name: "Capitalized cost reduction",
    unit: "money",
    value: ({ quote }) => quote.reduction,
  },
  adjustedCapitalizedCost: {
    name: "Adjusted capitalized cost",
    unit: "money",
    value: ({ quote }) => quote.cost,
    compared: { part: "amounts" },
  },
  loanAmount: { name: "Loan amount", unit: "money", value: ({ quote }) => quote.cost },
  amountFinanced: { name: "Amount financed", unit: "money", value: ({ quote }) => quote.cost },
  residual: { name: "Residual", unit: "money", value: ({ quote }) => quote.residual },
  /** Where it was found. */
  residualPercent: {
    name: "Residual in percent",
    unit: "percent",
    value: ({ quote }) => percentFound(quote),
  },
  basePayment: { name: "Payment before tax", unit: "money", value: ({ quote }) => quote.basePayment },
  "paymentParts.depreciation": {
    name: "Depreciation in a payment",
    unit: "money",
    value: ({ quote }) => quote.parts.depreciation,
  },
  "paymentParts.rent": { name: "Rent in a payment", unit: "money", value: ({ quote }) => quote.parts.rent },
  paymentTax: { name: "Tax in a payment", unit: "money", value: ({ quote }) => quote.tax },
  payment,
  payments: {
    name: "Payments",
    unit: "payments",
    value: ({ quote }) => quote.payments,
    compared: { part: "payment" },
  },
  depreciation,
  rentCharge,
  financeCharge: {
    name: "Rent charge",
    unit: "money",
    value: ({ quote }) => quote.rentCharge,
    mapped: ({ rentCharge }) => rentCharge,
  },
  moneyFactor: { name: "Money factor", unit: "factor", value: ({ quote }) => quote.moneyFactor },
  yearlyRate: {
    name: "Yearly rate",
    unit: "percent",
    value: ({ quote }) => quote.yearlyRate,
    compared: { part: "payment" },
  },
  implicitYearlyRate: {
    name: "Implicit rate",
    unit: "percent",
    value: ({ quote }) => quote.implicitYearlyRate,
    places: 4,
    compared: { part: "charges" },
  },
  /** Where the vehicle is bought at the end. */
  effectiveRate: {
    name: "Effective rate",
    unit: "percent",
    value: ({ quote }) => quote.keptEffectiveRate ?? effectiveRateOf(quote),
    places: 2,
  },
  rateNotice: { name: "What its rate is", unit: "words", value: () => LEASE_RATE_NOTICE },
  /** A lease has none. */
  apr: { name: "APR", unit: "percent", value: () => null },
  dueAtSigning: {
    name: "Due at signing",
    unit: "money",
    value: ({ quote }) => quote.dueAtSigning.total,
    compared: { part: "signing", best: "all" },
    mapped: quote => quote.dueAtSigning.total,
  },
  securityDeposit: { name: "Security deposit", unit: "money", value: ({ quote }) => quote.securityDeposit },
  totalOfPayments: { name: "Total of payments", unit: "money", value: ({ quote }) => quote.totalOfPayments },
  totalIfReturned,
  totalIfBought: {
    name: "Total cost, bought at the end",
    unit: "money",
    value: ({ quote }) => quote.totalIfBought,
    compared: { part: "totals" },
  },
  totalCost: {
    name: "Total cost, handed back",
    unit: "money",
    value: ({ quote }) => quote.totalIfReturned,
    mapped: ({ totalIfReturned }) => totalIfReturned,
  },
  price: { name: "Price", unit: "money", value: ({ quote }) => quote.price },
  down: { name: "Cash down", unit: "money", value: ({ quote }) => quote.down },
  /** Where it was found. */
  allowance: {
    name: "Trade-in allowance",
    unit: "money",
    value: ({ quote }) => (quote.deal.find === "allowance" ? quote.allowance : undefined),
  },
  /** No figure of a file: a program knows. */
  ownedAtEnd: {
    name: "Owned at the end",
    unit: "words",
    value: () => "nothing, unless it is bought",
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
  ...otherCosts,
} satisfies Record<string, LeaseFigure>;

function effectiveRateOf(quote: LeaseQuote): number | null {
  const rate = leaseEffectiveRate(quote);
  return rate.ok ? rate.value : null;
}

function percentFound({ deal, filled }: LeaseQuote): string | undefined {
  const { residual } = filled.plan;
  return deal.find === "residualPercent" && residual && "percent" in residual ? residual.percent : undefined;
}
