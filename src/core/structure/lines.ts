import { cashDown } from "./cash-down";
import type { Structure } from "./structure";

/** What a line of the structure is. */
type LineOfStructure = {
  figure: string;
  /** Its name inside a sentence or a formula. */
  name: string;
  /** Whether it is added to what is financed, or taken off. */
  sign: 1 | -1;
  /**
   * How it counts in the total cost besides the payments: 1 for what else the customer gives, −1 for what was
   * owed anyway, 0 for what the payments hold already.
   */
  ownCost: 1 | -1 | 0;
  /** What the customer brings along, as a sentence names it that says nothing is left to finance. */
  brought?: string;
  /** Minor units. */
  amount: (structure: Structure) => number;
};

/**
 * The lines from the price to the loan amount, in order: the one place that knows them. Every sum, formula,
 * search and sentence about the loan amount asks this table, through the functions beside it.
 */
export const STRUCTURE_LINES = [
  { figure: "price", name: "price", sign: 1, ownCost: 0, amount: ({ price }) => price ?? 0 },
  {
    figure: "allowance",
    name: "trade-in allowance",
    sign: -1,
    ownCost: 1,
    brought: "trade-in",
    amount: ({ tradeIn }) => tradeIn.allowance,
  },
  // The new loan pays off what is owed on the trade-in.
  {
    figure: "owed",
    name: "owed on the trade-in",
    sign: 1,
    ownCost: -1,
    amount: ({ tradeIn }) => tradeIn.owed,
  },
  {
    figure: "down",
    name: "cash down",
    sign: -1,
    ownCost: 1,
    brought: "cash down",
    amount: ({ down, price }) => cashDown(down, price ?? 0),
  },
] as const satisfies readonly LineOfStructure[];

/** A line of the structure by its figure. */
export type StructureFigure = (typeof STRUCTURE_LINES)[number]["figure"];
