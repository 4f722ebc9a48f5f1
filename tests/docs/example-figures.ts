// What the examples of the core's doc comments take for granted, by the names they use.
import { rationalWeight } from "@/core/annuity";
import { addMonths, type DayNumber, parseIsoDate } from "@/core/calendar";
import { keptFor } from "@/core/horizon";
import { wholly } from "@/core/horizon/exact";
import { rationalRate } from "@/core/interest";
import { evaluateLease, type LeaseDeal } from "@/core/kinds/lease";
import { implicitRate } from "@/core/kinds/lease/pricing/implicit-rate";
import { leaseTerms } from "@/core/kinds/lease/pricing/terms";
import { lend } from "@/core/kinds/loan/deal";
import { loanOf, readTerms } from "@/core/kinds/loan/plan";
import { groupedAmount } from "@/core/money";
import type { DealToFit, LoanProgram } from "@/core/programs";
import type { Result } from "@/core/result";
import type { Charge } from "@/core/structure";
import { dealWith, PLAIN, quoteOf } from "../core/deals";
import { answered, KEEP_FOR, LOAN as KEPT_LOAN } from "../core/horizon/worked-deal";

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

/** The camper van held against programs; the dealer was invoiced 38,375.00 for it. */
const dealToFit: DealToFit = {
  loan: deal,
  lease: null,
  turned: null,
  facts: {
    day: day("2026-11-29"),
    condition: "new",
    modelYear: 2026,
    distance: 12,
    unit: "mi",
    invoice: 3_837_500,
    bookValue: null,
    listPrice: 4_311_000,
    score: 704,
    income: 520_000,
    housing: 110_000,
    debts: 64_000,
    paidOff: null,
  },
};

/** Bought at 5.25 % over 24 to 84 months, with at most two points added. */
const newVehicles: LoanProgram = {
  kind: "loan",
  lender: "Quillon Mutual",
  name: "New vehicles",
  currency: "USD",
  ...{ from: null, to: null, condition: "new", mostYears: null, mostYearsAtEnd: null },
  ...{ mostDistance: null, unit: null, leastAmount: null, mostAmount: null, mostLoanTo: [] },
  ...{ leastDown: null, mostExtras: null, mostPaymentToIncome: null, mostDebtToIncome: null },
  ...{ firstPaymentWithin: null, adjust: [], mostRate: null, rateStep: "0.01", notWith: [] },
  rates: [{ from: 24, to: 84, leastScore: null, mostScore: null, buyRate: "5.25", mostSpread: "2.00" }],
  ...{ reserve: null, balloon: null, fee: null },
};

const keptAsked = {
  quotes: [answered(KEPT_LOAN)],
  chosen: 0,
  keepFor: { ...KEEP_FOR, value: ofListPrice() },
};

/** The curve of a deal whose vehicle lists at 42,000.00. */
function ofListPrice() {
  return { ...KEEP_FOR.value, listPrice: 4_200_000 };
}

export const FIGURES: Record<string, unknown> = {
  keptAsked,
  kept: value(keptFor(keptAsked)),
  campervans: { curve: KEEP_FOR.value, of: 4_200_000, decimals: 2 },
  wholly,
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
  dealToFit,
  newVehicles,
  lowRate: { ...newVehicles, mostLoanTo: [{ percent: "100", of: "invoice", what: "all" }] },
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
