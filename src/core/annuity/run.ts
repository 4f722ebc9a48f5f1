import type { PeriodRate } from "../interest";
import type { Fixed } from "../precise";

/** A level payment's multiple, where payments step up or down by percents. */
export type Weight = { value: number; precise: () => Fixed };

/** What is paid on a payment date. */
export type Pay =
  /** The level payment, or a multiple of it, which is what a loan is solved for. */
  | { kind: "level"; weight: Weight; raises: readonly Raise[] }
  /** The same part of the principal each time, which is what a loan is solved for, and the period's interest. */
  | { kind: "principal" }
  /** An amount in minor units that is agreed. */
  | { kind: "amount"; amount: number }
  /** Just the period's interest. */
  | { kind: "interest" }
  /** Nothing: the interest is added to what is owed. */
  | { kind: "none" };

/** What to do for each way of paying. */
type ByPay<Value> = {
  [Kind in Pay["kind"]]: (pay: Extract<Pay, { kind: Kind }>) => Value;
};

/**
 * Tells the ways of paying apart. Whoever depends on the way asks here, so that the compiler names every place
 * where a new one is missing.
 *
 * @example
 * const agreed = { level: () => 0, principal: () => 0, amount: ({ amount }) => amount, interest: () => 0, none: () => 0 };
 * byPay({ kind: "amount", amount: 500 }, agreed) // 500
 */
export function byPay<Value>(pay: Pay, cases: ByPay<Value>): Value {
  switch (pay.kind) {
    case "level":
      return cases.level(pay);
    case "principal":
      return cases.principal(pay);
    case "amount":
      return cases.amount(pay);
    case "interest":
      return cases.interest(pay);
    case "none":
      return cases.none(pay);
  }
}

const IS_SOLVED: Record<Pay["kind"], boolean> = {
  level: true,
  principal: true,
  amount: false,
  interest: false,
  none: false,
};

/** Whether what is paid on a date is, or holds, the figure that a loan is solved for. */
export function isSolved({ kind }: Pay): boolean {
  return IS_SOLVED[kind];
}

/** Whether the same is paid on every date of some runs. */
export function areLevel(runs: readonly Run[]): boolean {
  return runs.every(({ pay }) => pay.kind === "level" && pay.raises.length === 0);
}

/** A percent change of the payment before it: `digits / scale` percent, below zero for less. */
export type Raise = { digits: number; scale: number };

/** Some payment dates in a row with one rate, on which the same is paid. */
export type Run = { count: number; rate: PeriodRate; pay: Pay };
