import type { DayNumber } from "../../calendar";

/** The figures of an answer that a customer can want to be another. */
export type WantedFigure =
  | "payment"
  | "basePayment"
  | "totalCost"
  | "financeCharge"
  | "dueAtSigning"
  | "totalIfReturned"
  | "totalIfBought"
  | "endDate";

/** What a customer wants: at most so much in minor units, or to end by a date. */
export type Wanted = { figure: WantedFigure; value: number };

/** The figures that can give way. */
export type MoveFigure =
  | "down"
  | "price"
  | "allowance"
  | "yearlyRate"
  | "moneyFactor"
  | "payments"
  | "balloon"
  | "residual"
  | "inAdvance"
  /** An extra of the structure, left out. */
  | "extra"
  /** An extra paid with every payment. */
  | "extraEach";

/** Minor units or a number of payments; a rate or a factor as it is typed; null where there is none. */
export type MoveValue = number | string | null;

/** How a deal stands with a figure moved; money in minor units. */
export type Standing = {
  payment: number;
  payments: number;
  /** Of a lease its rent charge. */
  financeCharge: number;
  /**
   * Of a lease the total if it is handed back. Where the allowance moves, the trade-in counts as it was allowed for before,
   * so that a concession on it reads like the same cut in price.
   */
  totalCost: number;
  dueAtSigning: number;
  endDate: DayNumber | null;
};

/** A usual number of payments that gives what is wanted. */
export type UsualTerm = {
  to: number;
  /** The rate at which the house has it, as typed, where it is not the deal's own; a factor where a lease goes by one. */
  rate?: string;
  after: Standing;
};

/** The yearly rates at which the house has some numbers of payments, as typed. */
export type RatesOfTerms = ReadonlyMap<number, string>;

/** No term has a rate of its own. */
export const NO_RATES: RatesOfTerms = new Map();

/** A figure with what it would have to be, or why nothing that it could be gives what is wanted. */
export type Move = {
  figure: MoveFigure;
  /** Which of the structure's extras, from 0. */
  index?: number;
  from: MoveValue;
} & (
  | {
      to: MoveValue;
      after: Standing;
      /** Of a number of payments: the next that is usual, where the exact one is not; at each rate that it may come at. */
      usual?: readonly UsualTerm[];
    }
  | { sentence: string }
);

/** Another number of payments, with what the cash down would have to be over it. */
export type CashOver = {
  payments: number;
  /** The house's for it, where it is not the deal's own. */
  rate?: string;
  move: Move;
};

/** Said of every other figure where the sum due at signing is what is given. */
export const DUE_IS_GIVEN = "The sum due at signing is set by what is typed for it; move the cash down.";
