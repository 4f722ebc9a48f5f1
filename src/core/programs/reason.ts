import type { DayNumber } from "../calendar";
import type { DealFacts } from "./facts";
import type { Lent, VehicleCondition, Worth } from "./program";
import type { Quotient } from "./quotient";

/** The limits of a program. */
export type LimitName =
  | "kind"
  | "vehicle"
  | "currency"
  | "valid"
  | "condition"
  | "term"
  | "score"
  | "years"
  | "yearsAtEnd"
  | "distance"
  | "amount"
  | "loanTo"
  | "down"
  | "extras"
  | "paymentToIncome"
  | "debtToIncome"
  | "firstPayment"
  | "balloon"
  | "residual"
  | "costToListPrice"
  | "notWith"
  | "rate"
  | "figures";

/** What of a deal a limit can need that is not known. */
export type Fact = Exclude<keyof DealFacts, "day" | "unit" | "paidOff">;

/** The most or the least that something may be. */
type Bound<Value> = { bound: "most" | "least"; value: Value };

/** Why a program does not fit a deal, or cannot be told to: what it comes to, and what it may be. */
export type Reason = { limit: LimitName } & (
  | { as: "unknown"; facts: readonly Fact[] }
  | ({ as: "percent"; percent: Quotient; of?: Worth; what?: Lent } & Bound<string>)
  | ({ as: "count"; count: number; unit?: "km" | "mi" | undefined } & Bound<number>)
  | ({ as: "amount"; amount: number } & Bound<number>)
  /** Begins on a day, or has run out on one. */
  | { as: "day"; bound: "begins" | "ranOut"; day: DayNumber }
  | { as: "condition"; is: VehicleCondition; asked: VehicleCondition }
  | { as: "currency"; is: string; asked: string }
  | { as: "names"; names: readonly string[] }
  /** Nothing is offered of it for the deal's term, or at all. */
  | { as: "none" }
  | { as: "sentence"; sentence: string }
);

/** Whether a reason says only that something is not known. */
export const isUnknown = ({ as }: Reason): boolean => as === "unknown";

/** What tells a reason from others of the same program. */
export const reasonKey = (reason: Reason): string =>
  reason.as === "percent"
    ? `${reason.limit} ${reason.of ?? ""} ${reason.what ?? ""} ${reason.value}`
    : `${reason.limit} ${"bound" in reason ? reason.bound : ""}`;
