import type { DayNumber } from "../../../../calendar";
import type { ExtraEvent } from "../extras";
import type { Loan } from "./loan";
import type { Planned } from "./planned-payment";
import type { PaymentRow } from "./row";

/** Why a loan cannot be repaid as planned. */
export type Fault =
  /** What is owed grows beyond what can be counted exactly. */
  | { fault: "grows" }
  /** An extra on a date is more than is owed then. */
  | { fault: "extra"; event: ExtraEvent; owed: number }
  /** So much less than the balloon is owed at the end, although nothing is paid but what is agreed. */
  | { fault: "overpaid"; short: number };

/** Whether something came out otherwise than a fault. */
export function isFault(made: object): made is Fault {
  return "fault" in made;
}

/** What of a loan's repayment follows from the payments and extras still to come. */
export type Course = {
  /** The loan as it is repaid from now on: money that lowers the payments makes another of it. */
  loan: Loan;
  /** Whether extras take the loan below its plan, so that the balloon is what is then left. */
  shrinks: boolean;
  /** What the payments leave owing. */
  floor: number;
  /** What is owed at the least after each date, so that the floor is reached; made when a payment comes near it. */
  least: readonly number[] | undefined;
  /** The most of these: a payment that leaves more is not looked at. */
  watched: number;
  /** The date whose payment takes all that is owed; 0 where extras leave that to the balloon. */
  closing: number;
  /** What the last date takes without extras, where they leave the rest to the balloon. */
  lastPayment: Planned | undefined;
};

/** How far a loan is repaid; changes row by row. */
export type Standing = Course & {
  rows: PaymentRow[] | undefined;
  number: number;
  balance: number;
  totalInterest: number;
  finalPayment: number;
  /** On how many dates something was paid. */
  paid: number;
  nextExtra: number;
  /** The day of an extra that ended the loan between two payments. */
  endedOn: { date: DayNumber | null } | null;
};

/** Whether nothing is owed any more. */
export function hasEnded({ balance, floor }: Standing): boolean {
  return balance === 0 && floor === 0;
}
