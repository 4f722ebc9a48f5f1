import type { Structure } from "../../../structure";
import type { LoanPlan } from "../plan";

/** The figures that a deal can ask for. */
export const FOUND_FIGURES = [
  "payment",
  "price",
  "down",
  "downPercent",
  "allowance",
  "yearlyRate",
  "payments",
  "balloon",
  "extra",
  "lump",
] as const;

/** The figure that a deal asks for; all others are given. */
export type FoundFigure = (typeof FOUND_FIGURES)[number];

/** A figure of the result that something can be found from. */
export type KnownFigure =
  | "payment"
  | "totalCost"
  | "financeCharge"
  | "loanAmount"
  | "amountFinanced"
  | "dueAtSigning"
  | "cashReceived"
  | "endDate"
  | "payments";

/** What a figure is found from: an amount in minor units, a day number for the end date, or a number of payments. */
export type Known = { figure: KnownFigure; value: number };

/**
 * One way to structure a deal: what was given, in minor units and day numbers, and which figure to find.
 * The found figure is null, or left out.
 */
export type LoanDeal = {
  /** ISO 4217 code. */
  currency: string;
  structure: Structure;
  plan: LoanPlan;
  find: FoundFigure;
  /** What to find it from; the plan's payment where left out. */
  from?: Known;
};
