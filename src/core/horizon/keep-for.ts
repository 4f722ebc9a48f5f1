import type { YearlyReturn } from "../after";

/** A place of a curve: what a vehicle is worth so many whole months after signing, in percent as typed. */
export type CurvePoint = { month: number; percent: string };

/** What a vehicle will be worth, by its age and by what was driven. */
export type ValueCurve = {
  /** By month, each once; at least one. */
  points: readonly CurvePoint[];
  /** What the percents are of, in minor units; null where it is the list price of the deal, or its price. */
  listPrice: number | null;
  /** How far is driven in a normal year, and what each unit beyond takes off, in whole units of the currency as typed. */
  normalDistance: number;
  beyond: string;
  /** What of the value a lessor gets, in percent as typed. */
  realized: string;
};

/** What becomes of a lease, or of a balloon loan whose vehicle can be given back, after its end. */
export type AfterEnd = "buy" | "again" | "handBack";

/** A rebate that only who pays in cash gets, in minor units, and whose it is. */
export type CashRebate = { amount: number; from: "seller" | "maker" };

/** What paying in cash takes, in minor units, where it is other than what follows from the deal; null where it follows. */
export type CashLines = {
  price: number | null;
  charges: number | null;
  taxes: number | null;
  rebates: number | null;
};

/** For how long a vehicle is kept, and everything that is assumed of that. */
export type KeepFor = {
  /** Whole months from signing, from 1. */
  months: number;
  /** Driven a year; decimals count to the second. */
  distance: number;
  /** Of every distance: "mi" or "km". */
  unit: string;
  value: ValueCurve;
  cashRebate: CashRebate | null;
  cash: CashLines;
  /** Of each option, in their order; `buy` where nothing is said. */
  after: readonly (AfterEnd | undefined)[];
  /** What money kept could earn; null where nothing is said. */
  yearlyReturn: YearlyReturn | null;
  /** Whether figures are compared in today's money, or plain. */
  isTodaysMoney: boolean;
};

/** The longest that can be asked for, in months. */
export const LONGEST_KEPT = 600;
