import type { PaymentRounding, Run } from "../../../../annuity";
import type { PeriodRate } from "../../../../interest";
import type { Draft } from "../draft";
import type { EachExtra, ExtraEvent } from "../extras";
import type { Course, Fault, Standing } from "./standing";

/** A loan ready to be repaid: money in minor units. */
export type Loan = {
  /** Above zero. */
  amount: number;
  draft: Draft;
  /** What was solved for, rounded: the level payment, or the part of the principal in each; 0 where all is agreed. */
  solved: number;
  rounding: PaymentRounding;
  /** What the payments leave owing at the end, or 0. */
  balloon: number;
  /** Paid on top of payments. */
  each: readonly EachExtra[];
  /** Paid on top on some dates, in order. */
  extras: readonly ExtraEvent[];
  /** How it is repaid with them; null where there are none. */
  byExtras: ByExtras | null;
};

/** What repaying a loan with extras takes besides. */
export type ByExtras = {
  /** How it goes on with extras to come, which take it below its plan. */
  shrunk: (standing: Standing, loan: Loan, interest?: number) => Course;
  /** Repays on one date, with the extras that come before it or fall on it. */
  repayOn: (standing: Standing, run: Run) => Fault | undefined;
  /** The interest of a date that extras come before. */
  interest: (standing: Standing, number: number, rate: PeriodRate) => number | Fault;
};

/** What is paid on top of each payment, be it from the first to the last or of some of them; in minor units. */
export const amountWithEach = ({ each }: Pick<Loan, "each">): number => each[0]?.amount ?? 0;
