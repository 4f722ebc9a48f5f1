import { AMOUNT_LINE_NAMES, AMOUNT_LINES, type AmountLineName } from "../amount-lines";
import { eachCharge } from "./charges";
import type { Reckoned } from "./reckon";
import type { Charge, Structure } from "./structure";

/** A line of the structure: what it is, by its own name where it has one. */
export type Line<Figure = StructureFigure> = {
  figure: Figure;
  /** Its name inside a sentence or a formula, or the one that it was given. */
  name: string;
  /** Whether it is added to what is financed, or taken off. */
  sign: 1 | -1;
  /** Minor units. */
  amount: number;
};

/** Takes a line: minor units, its name in a formula, and the name that what it is of was given. */
type Take = (amount: number, name: string, of?: string) => void;

/** Hands over what each line of an entry comes to, so that a sum needs no list of them. */
type Each<Amounts> = (structure: Structure, amounts: Amounts, take: Take) => void;

/** What an entry is in the tally from the price to a loan amount. */
type Financed = {
  sign: 1 | -1;
  /**
   * How it counts in the total cost besides the payments: 1 for what else the customer gives, −1 for what was
   * owed anyway, 0 for what the payments hold already or nobody gives.
   */
  ownCost: 1 | -1 | 0;
  /** What the customer brings along, as a sentence names it that says nothing is left to finance. */
  brought?: string;
  each: Each<Reckoned>;
};

/** What the lines down to an adjusted capitalized cost are made of, in minor units. */
export type CapitalizedAmounts = {
  price: number;
  fees: readonly number[];
  extras: readonly number[];
  /** A lease's taxes that are reckoned once. */
  taxes: readonly { name: string; amount: number; isFinanced: boolean }[];
  /** Below zero where a sum due at signing does not pay for what else is due that day. */
  cash: number;
  /** What trade-ins are worth beyond what is owed on them; below zero where they are worth less. */
  equity: number;
};

/** What an entry is in the tally from the agreed price to an adjusted capitalized cost. */
type Capitalized = { sign: 1 | -1; each: Each<CapitalizedAmounts & { acquisitionFee: number | null }> };

/** An entry of the table: what it is in each tally that it is a line of. */
type Entry = { figure: string; financed?: Financed; capitalized?: Capitalized };

const isFinanced = ({ paid }: Charge) => paid === "financed";

/** Fees, or extras: the same in both tallies. */
const charges = (list: "fees" | "extras") => {
  const each: Each<Pick<CapitalizedAmounts, "fees" | "extras">> = (structure, amounts, take) =>
    eachCharge(structure[list], amounts[list], isFinanced, (name, amount) => take(amount, name));
  return { financed: { sign: 1, ownCost: 0, each }, capitalized: { sign: 1, each } } as const;
};

/** A line that is one amount: a loan shows it once it is there, a lease where it comes to something. */
const amountLine = <Figure extends AmountLineName>(figure: Figure) => {
  const { label, name: usual, sign, ownCost } = AMOUNT_LINES[figure];
  const nameIn = ({ names }: Structure) => names?.[figure] ?? usual;
  return {
    figure,
    financed: {
      sign,
      ownCost,
      brought: label.toLowerCase(),
      each: (structure: Structure, _: unknown, take: Take) => {
        const amount = structure[figure];
        if (amount !== undefined) take(amount, nameIn(structure));
      },
    },
    capitalized: {
      sign,
      each: (structure: Structure, _: unknown, take: Take) => {
        const amount = structure[figure] ?? 0;
        if (amount > 0) take(amount, nameIn(structure));
      },
    },
  } as const;
};

/**
 * The lines of a structure, in order: the one place that knows them, and what each is in the tally of a loan and in that
 * of a lease. Every sum, formula, search and sentence about what is financed or capitalized asks this table, through
 * the functions beside it. What is paid at signing, or with payments, is no line of it.
 */
const ENTRIES = [
  {
    figure: "price",
    financed: {
      sign: 1,
      ownCost: 0,
      each: ({ personal, names }, { price }, take) =>
        take(price, names?.price ?? (personal ? "amount asked for" : "price")),
    },
    capitalized: {
      sign: 1,
      each: ({ names }, { price }, take) => take(price, names?.price ?? "agreed price"),
    },
  },
  {
    figure: "tax",
    financed: {
      sign: 1,
      ownCost: 0,
      each: ({ taxes, isTaxIncluded }, reckoned, take) => {
        if (taxes === undefined || isTaxIncluded) return;
        for (const [index, { name, isFinanced }] of taxes.entries())
          if (isFinanced) take(reckoned.taxes[index]?.amount ?? 0, name);
      },
    },
  },
  { figure: "fee", ...charges("fees") },
  { figure: "extra", ...charges("extras") },
  {
    figure: "acquisitionFee",
    capitalized: {
      sign: 1,
      each: (_, { acquisitionFee }, take) => {
        if (acquisitionFee !== null) take(acquisitionFee, "acquisition fee");
      },
    },
  },
  {
    figure: "tax",
    capitalized: {
      sign: 1,
      each: (_, { taxes }, take) => {
        for (const { name, amount, isFinanced } of taxes) if (isFinanced) take(amount, name);
      },
    },
  },
  {
    figure: "equity",
    capitalized: {
      sign: 1,
      each: (_, { equity }, take) => {
        if (equity < 0) take(-equity, "owed on trade-ins beyond their worth");
      },
    },
  },
  {
    figure: "down",
    capitalized: {
      sign: 1,
      each: (_, { cash }, take) => {
        if (cash < 0) take(-cash, "not paid at signing");
      },
    },
  },
  {
    figure: "equity",
    capitalized: {
      sign: -1,
      each: (_, { equity }, take) => {
        if (equity > 0) take(equity, "trade-ins, less owed");
      },
    },
  },
  {
    figure: "rebate",
    financed: { sign: -1, ownCost: 0, brought: "rebate", each: eachRebate },
    capitalized: { sign: -1, each: eachRebate },
  },
  {
    figure: "allowance",
    financed: {
      sign: -1,
      ownCost: 1,
      brought: "trade-in",
      each: ({ tradeIns }, _, take) => {
        for (const { allowance, name } of tradeIns) take(allowance ?? 0, "trade-in allowance", name);
      },
    },
  },
  // The new loan pays off what is owed on the trade-in.
  {
    figure: "owed",
    financed: {
      sign: 1,
      ownCost: -1,
      each: ({ tradeIns }, _, take) => {
        for (const { owed, name } of tradeIns) take(owed, "owed on the trade-in", name);
      },
    },
  },
  ...AMOUNT_LINE_NAMES.map(amountLine),
  {
    figure: "down",
    financed: {
      sign: -1,
      ownCost: 1,
      brought: "cash down",
      each: ({ names }, { down }, take) => take(down, names?.down ?? "cash down"),
    },
    capitalized: {
      sign: -1,
      each: ({ names }, { cash }, take) => {
        if (cash > 0) take(cash, names?.down ?? "cash down");
      },
    },
  },
] as const satisfies readonly Entry[];

function eachRebate({ rebates }: Structure, _: unknown, take: Take): void {
  if (rebates) for (const { name, amount } of rebates) take(amount, name);
}

type Entries = (typeof ENTRIES)[number];

/** A line of a loan's tally by its figure. */
export type StructureFigure = Extract<Entries, { financed: unknown }>["figure"];

/** A line of a lease's tally by its figure. */
export type CapitalizedFigure = Extract<Entries, { capitalized: unknown }>["figure"];

/** The lines from the price to the loan amount, in order. */
export const FINANCED_LINES: readonly (Financed & { figure: StructureFigure })[] = ENTRIES.flatMap(entry =>
  "financed" in entry ? [{ figure: entry.figure, ...entry.financed }] : [],
);

/** The lines from the agreed price to the adjusted capitalized cost, in order. */
export const CAPITALIZED_LINES: readonly (Capitalized & { figure: CapitalizedFigure })[] = ENTRIES.flatMap(
  entry => ("capitalized" in entry ? [{ figure: entry.figure, ...entry.capitalized }] : []),
);

/** What the lines of each tally are, each once. */
export const FINANCED_FIGURES = [...new Set(FINANCED_LINES.map(({ figure }) => figure))];
export const CAPITALIZED_FIGURES = [...new Set(CAPITALIZED_LINES.map(({ figure }) => figure))];

/** The sum of the tally, in minor units. */
export function loanAmountOf(structure: Structure, reckoned: Reckoned): number {
  let sum = 0;
  for (const { sign, each } of FINANCED_LINES) {
    each(structure, reckoned, amount => {
      sum += sign * amount;
    });
  }
  return sum;
}

/** What leaves the customer's pocket by the tally's lines, less what was owed anyway, in minor units. */
export function ownCostOf(structure: Structure, reckoned: Reckoned): number {
  let sum = 0;
  for (const { ownCost, each } of FINANCED_LINES) {
    if (ownCost === 0) continue;
    each(structure, reckoned, amount => {
      sum += ownCost * amount;
    });
  }
  return sum;
}
