import type { ReserveTerms } from "../after";
import type { DayNumber } from "../calendar";

/** What a limit can be a percent of. */
export type Worth = "invoice" | "bookValue" | "listPrice" | "price";

/** What of a loan is held against it: all of it, or without financed taxes, fees and extras. */
export type Lent = "all" | "vehicle";

/** How vehicles come to be sold: a demonstrator was driven by the dealer alone. */
export const VEHICLE_CONDITIONS = ["new", "used", "demonstrator"] as const;
export type VehicleCondition = (typeof VEHICLE_CONDITIONS)[number];

/** Months of a term, both ends counted. */
export type Months = { from: number; to: number };

/** What a lender buys at over some terms, for some scores: percent a year or a money factor, as typed. */
export type RateRow = Months & {
  /** Null where every score will do. */
  leastScore: number | null;
  mostScore: number | null;
  buyRate: string;
  /** The most that the dealer may add, in the same unit; no limit where it is null. */
  mostSpread: string | null;
};

/** What is added to a rate where something holds: the rate's unit, as typed. */
export type Adjustment = { add: string } & (
  | { when: "loanTo"; above: string; of: Worth; what: Lent }
  | { when: "distance"; above: number }
);

/** The most that may be left at the end over some terms: percent, as typed. */
type BalloonRow = Months & { most: string; of: "listPrice" | "price" };

/** What is held to be left of the list price at the end: percent, as typed, up to so much distance a year. */
type ResidualRow = Months & { distance: number | null; percent: string };

/** What programs of every kind say; amounts in minor units, percents as typed; null, or no entry, is no limit. */
type OfEveryProgram = {
  lender: string;
  name: string;
  /** ISO 4217 code. */
  currency: string;
  from: DayNumber | null;
  to: DayNumber | null;
  condition: VehicleCondition | null;
  /** Year of signing less model year, and year of the last payment less model year. */
  mostYears: number | null;
  mostYearsAtEnd: number | null;
  /** How far the vehicle has gone, in `unit`, or in the vehicle's own where that is null. */
  mostDistance: number | null;
  unit: "km" | "mi" | null;
  /** Of the loan, or of the adjusted capitalized cost. */
  leastAmount: number | null;
  mostAmount: number | null;
  mostLoanTo: readonly { percent: string; of: Worth; what: Lent }[];
  /** Percent of the price. */
  leastDown: string | null;
  mostExtras: { percent: string; of: Worth } | null;
  /** Percents of the income. */
  mostPaymentToIncome: string | null;
  mostDebtToIncome: string | null;
  /** Days from signing. */
  firstPaymentWithin: number | null;
  rates: readonly RateRow[];
  adjust: readonly Adjustment[];
  /** The most that a customer pays, and what the customer's rate is rounded up to; in the rates' unit. */
  mostRate: string | null;
  rateStep: string | null;
  /** Names of lines that it does not go with. */
  notWith: readonly string[];
  reserve: ReserveTerms | null;
};

export type LoanProgram = OfEveryProgram & {
  kind: "loan" | "balloon" | "flatRate";
  /** Null where a balloon has no limit. */
  balloon: readonly BalloonRow[] | null;
  fee: { amount: number; paidBy: "customer" | "dealer"; isFinanceCharge: boolean } | null;
};

export type LeaseProgram = OfEveryProgram & {
  kind: "lease";
  /** What its rates are. */
  reckoning: "moneyFactor" | "levelYield";
  residuals: readonly ResidualRow[];
  acquisitionFee: number | null;
  dispositionFee: number | null;
  purchaseFee: number | null;
  /** What a unit of distance beyond costs, in whole units of the currency, as typed. */
  beyond: string | null;
  /** Percent that the adjusted capitalized cost may be of the list price. */
  mostCostToListPrice: string | null;
};

/** What a lender offers, to whom, at which buy rate. */
export type Program = LoanProgram | LeaseProgram;
