import type { LoanPlan } from "../plans/loan";
import type { Structure } from "../structure";

/** The figure that a deal asks for; all others are given. */
export type FoundFigure =
  | "payment"
  | "price"
  | "down"
  | "downPercent"
  | "allowance"
  | "yearlyRate"
  | "payments"
  | "balloon"
  | "extra"
  | "lump";

/** A figure of the result that something can be found from. */
export type KnownFigure =
  | "payment"
  | "totalCost"
  | "financeCharge"
  | "amountFinanced"
  | "endDate"
  | "payments";

/** What a figure is found from: an amount in minor units, a day number for the end date, or a number of payments. */
export type Known = { figure: KnownFigure; value: number };

/**
 * One way to structure a deal: what was given, in minor units and day numbers, and which figure to find.
 * The found figure is null, or left out.
 */
export type Deal = {
  /** ISO 4217 code. */
  currency: string;
  structure: Structure;
  plan: LoanPlan;
  find: FoundFigure;
  /** What to find it from; the plan's payment where left out. */
  from?: Known;
};
