import type { DayNumber } from "../../calendar";
import type { Compounding } from "../../interest";
import type { LoanDeal } from "../../kinds/loan";
import type { Rounding } from "../../money";
import type { Counting, RoundedFactor, RowRounding } from "../way";

/** A loan by another's conventions, each by itself. */
export type LoanWay = {
  /** Every figure given, its payment asked for; slips and lines change it. */
  deal: LoanDeal;
  timing: "arrears" | "advance";
  compounding: Compounding;
  count: Counting;
  firstDays: "charged" | "notCharged" | "onFirstPayment";
  /** From when interest counts; null for the plan's own day. */
  interestFrom: DayNumber | null;
  /** Interest on the original amount for the whole term. */
  isFlat: boolean;
  /** How the payment is rounded; null where it is the one that the deal gives. */
  rounding: { rule: Rounding; step: number } | null;
  rounded: { what: RoundedFactor; decimals: number } | null;
  rows: RowRounding;
  isLastAdjusted: boolean;
  /** The stated APR is an effective yearly rate. */
  isAprEffective: boolean;
};
