import type { DayCount, DayNumber } from "../../calendar";
import type { Compounding } from "../../interest";
import type { Rounding } from "../../money";

/** How time counts: as plans have it, or over 365 days with no 29 February. */
export type Counting = DayCount | "noLeapDay/365";

/** How each row's interest is rounded. */
export type RowRounding = "halfUp" | "halfEven" | "down" | "none";

/** What is rounded before a payment follows from it; `rateThroughout` is what each row's interest is reckoned by, too. */
export type RoundedFactor = "rate" | "rateThroughout" | "paymentFactor" | "factorPerThousand" | "moneyFactor";

/** What a typed rate is taken for. */
export type RateMeaning =
  | "nominal"
  | "flat"
  | "perPeriod"
  | "moneyFactor"
  | "levelYield"
  | "effectiveApr"
  | "actuarialApr"
  | "itsApr"
  | "isTheApr"
  | "twoDecimals";

/** What of a line is not as in the deal. */
export type LineChange = "leftOut" | "twice" | "financed";

/** Something that was done wrong, and is no convention. */
export type Slip =
  | { slip: "downForgotten" | "downTwice" | "owedSubtracted" | "balloonForgotten" }
  | { slip: "payments"; from: number; to: number; isYears: boolean }
  | { slip: "chargeFinanced" | "chargeAtSigning"; name: string }
  | { slip: "taxBase"; name: string; what: "tradeIn" | "rebates" | TaxedPart; isTaken: boolean }
  | { slip: "residualBase"; of: "price" | "listPrice" }
  | { slip: "digits"; figure: SwappedFigure; from: string; to: string };

/** Lines that a tax is reckoned on or not. */
export type TaxedPart = "price" | "fees" | "extras" | "payment" | "sumOfPayments" | "reduction" | "purchase";

/** A figure that is typed, of which two digits can be swapped: an amount in minor units, a rate or a number as typed. */
export type SwappedFigure =
  | "price"
  | "down"
  | "allowance"
  | "owed"
  | "balloon"
  | "residual"
  | "yearlyRate"
  | "moneyFactor"
  | "payments";

/** One thing in which a way is not as the deal; money in minor units. */
export type Departure =
  /** So much more is financed, which is these lines. */
  | { kind: "lines"; more: number; lines: readonly { name: string; change: LineChange }[] }
  /** So much more is financed, which is no line of the deal. */
  | { kind: "amount"; more: number; amount: number }
  | { kind: "firstDays"; how: "notCharged" | "onFirstPayment" }
  | { kind: "interestFrom"; date: DayNumber; days: number }
  | { kind: "counting"; count: Counting }
  | { kind: "timing"; timing: "arrears" | "advance" }
  | { kind: "compounding"; compounding: Compounding }
  | { kind: "rounding"; rule: Rounding; step: number }
  | { kind: "rounded"; what: RoundedFactor; decimals: number }
  | { kind: "taxOn"; what: "unrounded" }
  | { kind: "rowInterest"; rule: RowRounding }
  | { kind: "lastPayment"; how: "likeTheOthers" }
  | { kind: "rate"; as: RateMeaning }
  | ({ kind: "slip" } & Slip);
