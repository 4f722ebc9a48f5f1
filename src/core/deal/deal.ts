import type { DayNumber } from "../calendar";
import type { Rounding } from "../money";

/** The figure that a deal asks for; the other two are given. */
export type FoundFigure = "payment" | "price" | "down";

/** Cash down: an amount in minor units, or a percent of the price as typed. */
export type CashDown = { amount: number } | { percent: string };

/** What is owed on the trade-in and what the dealer allows for it, in minor units. */
export type TradeIn = { allowance: number; owed: number };

/** A level loan with equal monthly periods. */
export type LoanPlan = {
  kind: "loan";
  /** Nominal yearly rate in percent, as typed; null while it is missing. */
  yearlyRate: string | null;
  /** How many payments; null while it is missing. */
  payments: number | null;
  frequency: "monthly";
  rounding: Rounding;
  /** Contract date. */
  signed: DayNumber | null;
  /** One month after signing where it is null. */
  firstPayment: DayNumber | null;
  /** The payment asked for in minor units, where the price or the cash down is found from it. */
  payment: number | null;
};

/**
 * One way to structure a deal: what was given, in minor units and day numbers, and which figure to find.
 * The found figure is null.
 */
export type Deal = {
  /** ISO 4217 code. */
  currency: string;
  structure: { price: number | null; tradeIn: TradeIn; down: CashDown | null };
  plan: LoanPlan;
  find: FoundFigure;
};
