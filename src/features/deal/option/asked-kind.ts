import type { Quote } from "@/core";
import type { MapAxis } from "@/core/map";
import type { MoveFigure } from "@/core/moves";
import type { DealFile } from "@/exchange/deal-file";
import type { DeskFind, FieldName } from "../fields";

/** Options that are made in one step from another, that one not among them; or why there are none. */
export type Usual = { ok: true; options: DealFile[] } | { ok: false; sentence: string };

/** What a rebate and a low rate without it are set against each other with. */
export type Offer = { rebate: string; lowRate: string };

/** What a figure is called in a phrase; each word is a rule of `palette/words.ts`. */
export type SaidFigure =
  | "years"
  | "payments"
  | "rate"
  | "factor"
  | "allowance"
  | "owed"
  | "down"
  | "residual"
  | "balloon"
  | "extra"
  | "firstPayment"
  | "signed"
  | "listPrice"
  | "price";

/** What something is said to be found from. */
export type SaidKnown =
  | "payment"
  | "totalCost"
  | "financeCharge"
  | "dueAtSigning"
  | "amountFinanced"
  | "loanAmount"
  | "endDate";

/** What phrases and commands say of a kind. */
export type SaidOfKind<File> = {
  /** The field of each figure that can be said of a deal. */
  fields: (inputs: File) => Partial<Record<SaidFigure, FieldName>>;
  /** A yearly rate as it is typed in a deal that has another figure in its place. */
  rateTyped?: (inputs: File, percent: string) => string;
  /** What is found by which words. */
  finds: Partial<Record<SaidFigure | "payment", DeskFind>>;
  knowns: Partial<Record<SaidKnown, string>>;
  /** Where what a figure is found from is typed. */
  knownField: (known: string) => FieldName;
  foundName: (find: DeskFind) => string;
  /** The fields that show a found figure. */
  foundFields: readonly FieldName[];
  /** What can be found, by the words of its commands. */
  findCommands: readonly (readonly [DeskFind, string])[];
  /** What its financing costs: the command that opens its working, and the button that does. */
  interest: { name: string; button: RegExp };
  /** The command for what is owed before the end, and the button that opens it; without one, the table has it. */
  payoff: { name: string; says: string; button?: RegExp };
  turn: { name: string; to: "loan" | "lease" };
};

/**
 * What views, the palette and the bargaining ask of a kind, beside all that an option does. It comes with the first of them, so
 * that the screen starts without it.
 */
export type AskedKind<File, Answer> = {
  /** What a price is called in it. */
  priceName: string;
  /** What stands for its rate: one by money factor has a factor. */
  rateFigure: (plan: Quote["filled"]["plan"]) => "yearlyRate" | "moneyFactor";
  /** The deal with a figure of its plan at another value, a rate in the axis's units or as typed; as it is where it has none such. */
  planAt: (inputs: File, figure: MapAxis | MoveFigure, value: number | string) => File;
  /** How many payments are planned. */
  plannedPayments: (answer: Answer) => number;
  /** Whether a wish can be met over other terms, too. */
  canBeOverTerms: (answer: Answer) => boolean;
  /** The same without its balloon, or with one where it has none. */
  withOrWithoutBalloon: (inputs: File, percent: string) => Usual;
  /** The rebate, or the low rate without it: what of the two the option is not already. */
  rebateOrLowRate: (inputs: File, offer: Offer) => Usual;
  /** Its figures by name, typed and found, for setting two versions side by side. */
  described: (inputs: File) => Record<string, string>;
  said: SaidOfKind<File>;
};
