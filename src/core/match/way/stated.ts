import type { DayNumber } from "../../calendar";

/** A figure of another's at the decimals that it was typed with: `units ÷ 10^decimals` of the currency, or percent. */
export type StatedFigure = { units: number; decimals: number };

/** A row of another's table; a cell that is not there is not compared. */
export type StatedRow = {
  /** The number of the payment, from 1. */
  number: number;
  date?: DayNumber;
  payment?: StatedFigure;
  interest?: StatedFigure;
  principal?: StatedFigure;
  balance?: StatedFigure;
};

export const STATED_AMOUNTS = [
  "payment",
  "lastPayment",
  "totalOfPayments",
  "financeCharge",
  "amountFinanced",
] as const;

export type StatedAmount = (typeof STATED_AMOUNTS)[number];

/** What another says of a loan or a lease. */
export type Stated = { [Amount in StatedAmount]?: StatedFigure } & {
  /** Percent a year; of a lease the rate that its payments come to. */
  apr?: StatedFigure;
  /** What is owed right after a payment. */
  balance?: { after: number; amount: StatedFigure };
  payoff?: { on: DayNumber; amount: StatedFigure };
  table?: readonly StatedRow[];
};

/** A cell of a table that is compared. */
export const TABLE_CELLS = ["payment", "interest", "principal", "balance"] as const;

export type TableCell = (typeof TABLE_CELLS)[number];

/** Floats that are within this of half a unit count as half. */
const NEAR_HALF = 1e-9;

/**
 * How far a figure is above a stated one, both at the decimals that were typed.
 *
 * @param figure minor units, whole or not; or a percent with `ofDecimals` 0
 * @param stated what is said
 * @param ofDecimals decimals of the currency
 * @returns in the unit of the figure; 0 where it is what is stated
 * @example offBy(44515.45, { units: 44516, decimals: 2 }, 2) // -1
 */
export function offBy(figure: number, { units, decimals }: StatedFigure, ofDecimals: number): number {
  const scale = 10 ** (decimals - ofDecimals);
  return (Math.floor(figure * scale + 0.5 + NEAR_HALF) - units) / scale;
}

/** How many figures are stated; a table counts as several. */
export function countStated(stated: Stated): number {
  let count = 0;
  for (const name of STATED_AMOUNTS) if (stated[name]) count += 1;
  if (stated.apr) count += 1;
  if (stated.balance) count += 1;
  if (stated.payoff) count += 1;
  for (const row of stated.table ?? []) for (const cell of TABLE_CELLS) if (row[cell]) count += 1;
  return count;
}
