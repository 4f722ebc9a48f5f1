import type { DayCount, DayNumber, Frequency, TwoDays } from "../../../calendar";
import type { Compounding } from "../../../interest";
import type { EarlyFee } from "./early-fee";
import type { Extra } from "./extras";
import type { ShapeInputs } from "./shapes";

/** How a loan is repaid. What may be left out has its everyday meaning: equal periods, in arrears, level. */
export type LoanPlan = ShapeInputs & {
  /** Nominal yearly rate in percent, as typed; flat for a flat-rate loan; null while it is missing. */
  yearlyRate: string | null;
  /** How many payment dates the term has; null while it is missing. */
  payments: number | null;
  frequency: Frequency;
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
  /** The payment given in minor units, which another figure is found from; it stays as it is. */
  payment: number | null;
  extra?: Extra;
  /** What money that comes early is charged with, in order; nothing where left out. */
  earlyFee?: readonly EarlyFee[];
  /** A finance charge paid in cash at signing, in minor units. */
  prepaidCharge?: number;
};
