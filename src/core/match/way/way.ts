import type { DayNumber } from "../../calendar";
import type { Departure } from "./departure";

/** One thing in which a way can depart; a slip counts two. */
export type Choice<Way> = {
  departure: Departure;
  count: 1 | 2;
  /** The way with it; null where it changes nothing, or cannot be. */
  change: (way: Way) => Way | null;
};

/** A row of a way's table: minor units, with parts of them where nothing is rounded. */
export type WayRow = {
  kind: "payment" | "balloon" | "atSigning" | "closing";
  number: number;
  date: DayNumber | null;
  payment: number;
  interest: number;
  principal: number;
  balance: number;
};

/** What a way comes to, in minor units and percent. What is undefined cannot be known. */
export type Measured = {
  payment: number;
  /** The payment before it is rounded. */
  unrounded: number;
  /** From here on what takes the rows. */
  lastPayment: () => number;
  totalOfPayments: () => number;
  financeCharge: () => number;
  amountFinanced: number;
  rows: () => readonly WayRow[];
  apr: () => number | undefined;
  payoff: (on: DayNumber) => number | undefined;
};

/** How ways of a kind of deal are made and what they come to. */
export type Machine<Way> = {
  decimals: number;
  /** The deal's own conventions. */
  base: Way;
  /** What can depart, in the order of likelihood; of each list one. */
  choices: readonly (readonly Choice<Way>[])[];
  /** How many ways are tried at most. */
  mostWays: number;
  /** The way with so much more financed, in minor units. */
  withMore: (way: Way, more: number) => Way;
  /** Null where there is no such loan or lease. */
  measure: (way: Way) => Measured | null;
};
