import type { DayNumber } from "../../../../calendar";
import type { ExtraEvent } from "../extras";

/** What happens on a line of a repayment table. */
export type RowKind = "payment" | "interestOnly" | "noPayment" | "extra" | "balloon";

/** One line of a repayment table; money in minor units. */
export type PaymentRow = {
  kind: RowKind;
  /** The payment date's place in the term, from 1; an extra between two has the one of the next. */
  number: number;
  /** Day number, or null where the deal has no dates. */
  date: DayNumber | null;
  payment: number;
  interest: number;
  /** Below zero where interest is added to what is owed. */
  principal: number;
  /** What is still owed after the payment. */
  balance: number;
  /** What extra money was to be, where it is trimmed to what is owed. */
  asked?: number;
};

/** What all lines of a table come to, in minor units. */
export type Repayment = {
  /** How many payment dates there are: fewer than planned where the loan ends early; 0 where an extra ends it first. */
  payments: number;
  /** On how many of them something is paid. */
  paid: number;
  /** The last payment that is not a balloon. */
  finalPayment: number;
  /** The balloon that is left to pay, or 0. */
  balloonPaid: number;
  totalOfPayments: number;
  totalInterest: number;
  /** The date of the last money, or null. */
  finalDate: DayNumber | null;
  /** What was solved for at the end: less than at the start where money has lowered the payments. */
  solved: number;
  /** Extras after the loan has ended. */
  unused: readonly ExtraEvent[];
};
