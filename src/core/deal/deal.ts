import type { DayCount, DayNumber, Frequency, TwoDays } from "../calendar";
import type { Compounding } from "../interest";
import type { Extra, ShapeInputs } from "../loan";
import type { Rounding } from "../money";

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

/** Cash down: an amount in minor units, or a percent of the price as typed. */
export type CashDown = { amount: number } | { percent: string };

/** What is owed on the trade-in and what the dealer allows for it, in minor units. */
export type TradeIn = { allowance: number; owed: number };

/** How a loan is repaid. What may be left out has its everyday meaning: equal periods, in arrears, level. */
export type LoanPlan = ShapeInputs & {
  /** Nominal yearly rate in percent, as typed; flat for a flat-rate loan; null while it is missing. */
  yearlyRate: string | null;
  /** How many payment dates the term has; null while it is missing. */
  payments: number | null;
  frequency: Frequency;
  rounding: Rounding;
  /** What the payment is rounded to, in minor units; 1 where left out. */
  roundingStep?: number;
  /** How often interest is added to what is owed; at each payment where left out. */
  compounding?: Compounding;
  /** Payments at the end of each period, or at its start; `arrears` where left out. */
  timing?: "arrears" | "advance";
  /** How time counts; `equal` periods where left out, `actual/365` for dated payments. */
  dayCount?: DayCount;
  /** The two days of payments twice a month. */
  twiceMonthlyDays?: TwoDays;
  /** Contract date. */
  signed: DayNumber | null;
  /** One period after signing where it is null. */
  firstPayment: DayNumber | null;
  /** The payment asked for in minor units, where another figure is found from it. */
  payment: number | null;
  extra?: Extra;
  /** A finance charge paid in cash at signing, in minor units. */
  prepaidCharge?: number;
};

/**
 * One way to structure a deal: what was given, in minor units and day numbers, and which figure to find.
 * The found figure is null, or left out.
 */
export type Deal = {
  /** ISO 4217 code. */
  currency: string;
  structure: { price: number | null; tradeIn: TradeIn; down: CashDown | null };
  plan: LoanPlan;
  find: FoundFigure;
  /** What to find it from; the plan's payment where left out. */
  from?: Known;
};
