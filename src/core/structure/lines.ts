import { eachCharge } from "./charges";
import type { Reckoned } from "./reckon";
import type { Charge, Structure } from "./structure";

/** A line of the structure: what it is, by its own name where it has one. */
export type Line = {
  figure: StructureFigure;
  /** Its name inside a sentence or a formula, or the one that it was given. */
  name: string;
  /** Whether it is added to what is financed, or taken off. */
  sign: 1 | -1;
  /** Minor units. */
  amount: number;
};

/** What a line of the structure is. */
type KindOfLine = {
  figure: string;
  sign: 1 | -1;
  /**
   * How it counts in the total cost besides the payments: 1 for what else the customer gives, −1 for what was
   * owed anyway, 0 for what the payments hold already or nobody gives.
   */
  ownCost: 1 | -1 | 0;
  /** What the customer brings along, as a sentence names it that says nothing is left to finance. */
  brought?: string;
  /** Hands over what each line of this kind comes to, so that a sum needs no list of them. */
  each: (structure: Structure, reckoned: Reckoned, take: Take) => void;
};

const isFinanced = ({ paid }: Charge) => paid === "financed";

/** Takes a line: minor units, its name in a formula, and the name that what it is of was given. */
type Take = (amount: number, name: string, of?: string) => void;

/**
 * The kinds of lines from the price to the loan amount, in order: the one place that knows them. Every sum, formula,
 * search and sentence about the loan amount asks this table, through the functions beside it. What is paid at signing,
 * or with payments, is no line of it.
 */
export const STRUCTURE_LINES = [
  {
    figure: "price",
    sign: 1,
    ownCost: 0,
    each: ({ personal, names }, { price }, take) =>
      take(price, names?.price ?? (personal ? "amount asked for" : "price")),
  },
  {
    figure: "tax",
    sign: 1,
    ownCost: 0,
    each: ({ taxes, isTaxIncluded }, reckoned, take) => {
      if (taxes === undefined || isTaxIncluded) return;
      for (const [index, { name, isFinanced }] of taxes.entries())
        if (isFinanced) take(reckoned.taxes[index]?.amount ?? 0, name);
    },
  },
  {
    figure: "fee",
    sign: 1,
    ownCost: 0,
    each: ({ fees }, reckoned, take) =>
      eachCharge(fees, reckoned.fees, isFinanced, (name, amount) => take(amount, name)),
  },
  {
    figure: "extra",
    sign: 1,
    ownCost: 0,
    each: ({ extras }, reckoned, take) =>
      eachCharge(extras, reckoned.extras, isFinanced, (name, amount) => take(amount, name)),
  },
  {
    figure: "rebate",
    sign: -1,
    ownCost: 0,
    brought: "rebate",
    each: ({ rebates }, _, take) => {
      if (rebates) for (const { name, amount } of rebates) take(amount, name);
    },
  },
  {
    figure: "allowance",
    sign: -1,
    ownCost: 1,
    brought: "trade-in",
    each: ({ tradeIns }, _, take) => {
      for (const { allowance, name } of tradeIns) take(allowance ?? 0, "trade-in allowance", name);
    },
  },
  // The new loan pays off what is owed on the trade-in.
  {
    figure: "owed",
    sign: 1,
    ownCost: -1,
    each: ({ tradeIns }, _, take) => {
      for (const { owed, name } of tradeIns) take(owed, "owed on the trade-in", name);
    },
  },
  {
    figure: "deposit",
    sign: -1,
    ownCost: 1,
    brought: "deposit",
    each: ({ deposit, names }, _, take) => {
      if (deposit !== undefined) take(deposit, names?.deposit ?? "deposit paid");
    },
  },
  {
    figure: "down",
    sign: -1,
    ownCost: 1,
    brought: "cash down",
    each: ({ names }, { down }, take) => take(down, names?.down ?? "cash down"),
  },
] as const satisfies readonly KindOfLine[];

/** A line of the structure by its figure. */
export type StructureFigure = (typeof STRUCTURE_LINES)[number]["figure"];

/** The sum of the tally, in minor units. */
export function loanAmountOf(structure: Structure, reckoned: Reckoned): number {
  let sum = 0;
  for (const { sign, each } of STRUCTURE_LINES) {
    each(structure, reckoned, amount => {
      sum += sign * amount;
    });
  }
  return sum;
}

/** What leaves the customer's pocket by the tally's lines, less what was owed anyway, in minor units. */
export function ownCostOf(structure: Structure, reckoned: Reckoned): number {
  let sum = 0;
  for (const { ownCost, each } of STRUCTURE_LINES) {
    if (ownCost === 0) continue;
    each(structure, reckoned, amount => {
      sum += ownCost * amount;
    });
  }
  return sum;
}
