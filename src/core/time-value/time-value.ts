import type { Frequency } from "../calendar";
import type { Compounding } from "../interest";

/** Which way money goes: to the customer, or from the customer. */
export type Direction = "received" | "paid";

/** An amount in minor units, 0 or more, with the way it goes. */
export type Money = { amount: number; direction: Direction };

/** One of the five figures. */
export type TimeValueFigure = "presentValue" | "payment" | "futureValue" | "payments" | "yearlyRate";

/**
 * Money now, the same payment every period, and money at the end. The figure to find is null, the other four are
 * given.
 */
export type TimeValue = {
  find: TimeValueFigure;
  /** ISO 4217 code. */
  currency: string;
  presentValue: Money | null;
  payment: Money | null;
  futureValue: Money | null;
  /** A whole number. */
  payments: number | null;
  /** Nominal percent a year, as typed. */
  yearlyRate: string | null;
  frequency: Frequency;
  /** How often interest is added; at each payment where left out. */
  compounding?: Compounding;
  /** Payments at the end of each period, or at its start; `arrears` where left out. */
  timing?: "arrears" | "advance";
};

/** A number of payments that is no whole one, explained: amounts in minor units. */
export type LastPayment = {
  /** How many payments are made in full. */
  fullPayments: number;
  /** What is paid after them, one period later; 0 where the last full payment ends it, or interest alone does. */
  amount: number;
  /** What is owed or saved just before it, with the interest of its period. */
  balanceBefore: number;
  /** What is owed or saved just after it. */
  balanceAfter: number;
};

/** The answer to the five figures: the found one and the given ones. */
export type TimeValueAnswer = {
  presentValue: Money;
  payment: Money;
  futureValue: Money;
  /** Not a whole number where the last payment is a smaller one. */
  payments: number;
  /** Percent a year. */
  yearlyRate: number;
  /** Where the number of payments was found. */
  last?: LastPayment;
  /** The answer as a sentence to read aloud. */
  sentence: string;
};
