import type { PeriodRate } from "../interest";
import type { Fixed } from "../precise";

/** A level payment's multiple, where payments step up or down by percents. */
export type Weight = { value: number; precise: () => Fixed };

/** What is paid on a payment date. */
export type Pay =
  /** The level payment, or a multiple of it, which is what a loan is solved for. */
  | { kind: "level"; weight: Weight; raises: readonly Raise[] }
  /** An amount in minor units that is agreed. */
  | { kind: "amount"; amount: number }
  /** Just the period's interest. */
  | { kind: "interest" }
  /** Nothing: the interest is added to what is owed. */
  | { kind: "none" };

/** A percent change of the payment before it: `digits / scale` percent, below zero for less. */
export type Raise = { digits: number; scale: number };

/** Some payment dates in a row with one rate, on which the same is paid. */
export type Run = { count: number; rate: PeriodRate; pay: Pay };
