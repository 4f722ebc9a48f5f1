import type { DayNumber } from "../calendar";
import type { LeaseDeal } from "../kinds/lease";
import type { LoanDeal } from "../kinds/loan";
import type { VehicleCondition } from "./program";

/** What a lender asks of a deal besides its figures; amounts in minor units, null where it is not known. */
export type DealFacts = {
  /** The day of signing, else today. */
  day: DayNumber;
  condition: VehicleCondition | null;
  modelYear: number | null;
  distance: number | null;
  unit: "km" | "mi" | null;
  invoice: number | null;
  bookValue: number | null;
  listPrice: number | null;
  score: number | null;
  /** Of the customer, a month: gross income, housing, other debts, and what of those this deal pays off. */
  income: number | null;
  housing: number | null;
  debts: number | null;
  paidOff: number | null;
};

/** A deal as programs are held against it: as a loan and as a lease, each asked for its payment; null where it cannot be one. */
export type DealToFit = {
  loan: LoanDeal | null;
  lease: LeaseDeal | null;
  facts: DealFacts;
  /** The one that the deal never was: its term is then the nearest that a program offers. */
  turned: "loan" | "lease" | null;
};
