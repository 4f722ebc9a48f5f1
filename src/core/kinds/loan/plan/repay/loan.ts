import type { PaymentRounding } from "../../../../annuity";
import type { Draft } from "../draft";
import type { ExtraEvent } from "../extras";

/** A loan ready to be repaid: money in minor units. */
export type Loan = {
  /** Above zero. */
  amount: number;
  draft: Draft;
  /** What was solved for, rounded: the level payment, or the part of the principal in each; 0 where all is agreed. */
  solved: number;
  rounding: PaymentRounding;
  /** What the payments leave owing at the end, or 0. */
  balloon: number;
  /** Paid on top of every payment. */
  extraEach: number;
  /** Paid on top on some dates, in order. */
  extras: readonly ExtraEvent[];
};
