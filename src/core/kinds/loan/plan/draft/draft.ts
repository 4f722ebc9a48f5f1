import type { Run } from "../../../../annuity";
import type { DayCount, DayNumber, Frequency, Ratio, TwoDays } from "../../../../calendar";
import type { Compounding, Decimal, PeriodRate } from "../../../../interest";

/** When payments fall, and how interest counts between them: what every shape of loan builds on. */
export type Calendar = {
  frequency: Frequency;
  timing: "arrears" | "advance";
  compounding: Compounding;
  dayCount: DayCount;
  yearlyRate: Decimal;
  /** How many payment dates the term has; 0 where the plan lists its payments. */
  payments: number;
  /** Length of the first period in periods; 0 where the first payment is made when the money is lent. */
  firstPeriods: Ratio;
  /** When interest starts to count, or null without dates. */
  start: DayNumber | null;
  /** The date of payment k (from 1), or null without dates. */
  dateOf: (number: number) => DayNumber | null;
  twoDays: TwoDays | undefined;
  decimals: number;
};

/** How the finance charge of a flat-rate loan is earned over its term. */
export type Earning = "actuarial" | "sumOfDigits";

/** Interest on the original amount for the whole term; money in minor units. */
export type Flat = {
  earning: Earning;
  /** The finance charge of an amount. */
  charge: (amount: number) => number;
  /** The true rate of one period, at which the level payments are worth the amount. */
  trueRate: (amount: number) => PeriodRate;
  /** What of a charge the sum of the digits has earned after some of the payments. */
  earnedByDigits: (charge: number, after: number) => number;
};

/** A loan's plan as the shapes build it up, before it has an amount. */
export type Draft = {
  calendar: Calendar;
  /** How many payment dates there are. */
  payments: number;
  runs: readonly Run[];
  /** A last period between the last payment and the balloon, where payments are in advance. */
  balloonRate: PeriodRate | null;
  /** Where interest is charged on the original amount for the whole term. */
  flat: Flat | null;
  /** What the plan had to do otherwise than asked, in sentences. */
  notes: readonly string[];
};
