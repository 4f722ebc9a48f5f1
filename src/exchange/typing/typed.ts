import type { Notation } from "../notation";

/** What kind of figure a place takes. */
export type TypedKind =
  /** Minor units, where a percent sign may stand for a percent of something. */
  | "amount"
  /** A rate or another percent: what it changes by is in points. */
  | "percent"
  | "moneyFactor"
  /** A term, counted in payments. */
  | "payments"
  /** Any other whole number. */
  | "count";

/** Where something was typed. */
export type TypedAt = {
  kind: TypedKind;
  notation: Notation;
  /** Decimals of the currency. */
  decimals: number;
  /** Payments a year, for terms. */
  perYear: number;
  /** The figure that stood there before, as the fields read it; nothing where it was empty. */
  base?: string | undefined;
};

/** What was understood: the figure as the fields read it, and another that may be meant. */
export type Understood = {
  plain: string;
  /** What may be meant instead, as the fields read it. */
  maybe?: string;
};
