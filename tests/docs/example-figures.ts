// What the examples of the core's doc comments take for granted, by the names they use.
import { rationalWeight } from "@/core/annuity";
import { addMonths, type DayNumber, parseIsoDate } from "@/core/calendar";
import { rationalRate } from "@/core/interest";
import { evaluateLease, type LeaseDeal } from "@/core/kinds/lease";
import { implicitRate } from "@/core/kinds/lease/pricing/implicit-rate";
import { leaseTerms } from "@/core/kinds/lease/pricing/terms";
import { lend } from "@/core/kinds/loan/deal";
import { loanOf, readTerms } from "@/core/kinds/loan/plan";
import { groupedAmount } from "@/core/money";
import type { Result } from "@/core/result";
import type { Charge } from "@/core/structure";
import { dealWith, PLAIN, quoteOf } from "../core/deals";

function value<Value>(result: Result<Value>): Value {
  if (!result.ok) throw new Error(result.failure.sentence);
  return result.value;
}

const day = (text: string): DayNumber => parseIsoDate(text) ?? 0;

/** A camper van for 41,850.00: 40,700.00 financed over 72 months at 6.49 %. */
const deal = dealWith(
  { price: 4_185_000, tradeIns: [{ allowance: 920_000, owed: 1_105_000 }], down: { amount: 300_000 } },
  { yearlyRate: "6.49", payments: 72 },
);

/** The same with a maker's rebate. */
const rebated = {
  ...deal,
  structure: {
    ...deal.structure,
    rebates: [{ name: "Maker's rebate", amount: 180_000, isBeforeTax: false }],
  },
};

const campervan = dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72 });

const terms = value(readTerms(PLAIN));

const origination: Charge = {
  name: "Origination",
  amount: { percent: "1.5", of: "loanAmount" },
  isTaxable: false,
  paid: "financed",
  isFinanceCharge: true,
};

/** A van leased over 36 months, one payment at signing, down to 18,240.00 at the end. */
const vanLease: LeaseDeal = {
  currency: "USD",
  structure: { price: 4_000_000, tradeIns: [], down: { amount: 0 } },
  listPrice: null,
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    yearlyRate: null,
    payments: 36,
    frequency: "monthly",
    rounding: "nearest",
    signed: null,
    payment: null,
    inAdvance: 1,
    residual: { amount: 1_824_000 },
    residualDue: "end",
    taxes: [],
    distance: { perYear: 12_000, unit: "mi", beyond: "0.22", expected: 15_000 },
    earlyFee: 0,
    dispositionFee: 0,
    purchaseFee: 0,
  },
  find: "payment",
};
const moneyFactorTerms = leaseTerms(vanLease.plan);

export const FIGURES: Record<string, unknown> = {
  deal,
  rebated,
  origination,
  lent: value(lend(deal, value(readTerms(deal)))),
  plainDeal: PLAIN,
  quote: quoteOf(deal),
  /** 38,425.00 over 72 months at 6.49 %; and the same with dates. */
  campervan: quoteOf(campervan),
  dated: quoteOf({ ...campervan, plan: { ...campervan.plan, signed: day("2026-11-29") } }),
  plainQuote: quoteOf(PLAIN),
  structure: deal.structure,
  money: (minor: number) => groupedAmount(minor, 2),
  terms,
  loan: value(loanOf(PLAIN.plan, terms, 1_000_000, 1_000_000)),
  twelveMonthsAtHalfAPercent: [
    {
      count: 12,
      rate: rationalRate({ numerator: 1, denominator: 200 }),
      pay: { kind: "level", weight: rationalWeight(1n, 1n), raises: [] },
    },
  ],
  vanLease,
  vanLeaseQuote: value(evaluateLease(vanLease)),
  moneyFactorTerms,
  implicit: implicitRate(moneyFactorTerms, 4_000_000, 73_548, 1_824_000),
  nothingTaxed: {
    price: 0,
    fees: [],
    extras: [],
    acquisition: 0,
    cash: 0,
    rebates: 0,
    equity: 0,
    sumOfPayments: 0,
  },
  countyTax: {
    name: "County tax",
    rate: "6.25",
    on: ["reduction"],
    tradeInCredit: false,
    rebateCredit: false,
    rounding: "nearest",
    isFinanced: true,
  },
  day,
  monthly: (count: number, first: string, amount: number) =>
    Array.from({ length: count }, (_, month) => ({ date: addMonths(day(first), month), amount })),
};
