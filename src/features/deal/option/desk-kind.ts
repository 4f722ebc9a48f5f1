import type {
  CapitalizedLine,
  CostOfCredit,
  Deal,
  LeaseDeal,
  LeaseQuote,
  LoanDeal,
  LoanQuote,
  Quote,
  Reckoned,
  Result,
  TallyLine,
} from "@/core";
import type { WantedFigure } from "@/core/moves";
import type { DealFile } from "@/exchange/deal-file";
import type { Turning } from "@/exchange/kinds/kind/turning";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { TypedAt, Understood } from "@/exchange/typing";
import type { DownKind, Field, FieldName } from "../fields";

/** The running tally, and what it leads to; money in minor units. */
export type DeskTally = {
  lines: readonly (TallyLine | CapitalizedLine)[];
  /** What fees, extras and taxes come to. */
  reckoned: Pick<Reckoned, "price" | "total" | "fees" | "extras" | "taxes"> | null;
  /** Of a lease its adjusted capitalized cost, as the amount financed. */
  loanAmount: number | undefined;
  amountFinanced: number | undefined;
  /** What is due at signing, once there is an answer. */
  due: number | undefined;
};

/** What a cash down comes to, for saying it another way; in minor units. */
type DownAmounts = { down: number; due: number | undefined; price?: number; total?: number };

/** What of a kind changes a deal otherwise than by typing in its fields, and what only some deals need. */
type Rest<File extends LoanFile | LeaseFile, Quote> = {
  /** What is typed, as people type it. */
  understood: (typed: string, at: TypedAt) => Understood;
  /** The deal looking for another figure; what was found until now stays as a given one. */
  find: (inputs: File, quote: Quote | null, figure: string, payment?: string) => File;
  /** The deal found from another figure of its answer. */
  fromKnown: (inputs: File, quote: Quote | null, figure: string) => File;
  withPlan: (inputs: File, plan: File["plan"]) => File;
  withDownKind: (inputs: File, kind: DownKind, amounts: DownAmounts) => File;
  /** How it is turned into another kind, and another one into it. */
  turning: Turning<File, Quote>;
  /** The deal as one of another kind. */
  turnedInto: (
    inputs: File,
    quote: Quote | null,
    to: Pick<Turning<LoanFile | LeaseFile, never>, "firstPlan">,
  ) => LoanFile | LeaseFile;
};

/** A kind of deal on the desk, as one object: all that an option of it does. */
export type DeskKind<Name, File extends LoanFile | LeaseFile, Deal, Quote> = {
  name: Name;
  /** All about a field that only this kind has; undefined where it is none of them. */
  field: (name: string) => Field | undefined;
  /** The field in which a payment is typed that something is found from. */
  paymentField: FieldName;
  /** The fields in which what another figure is found from is typed: another figure may stand there after another find. */
  knownFields: readonly FieldName[];
  /** Whether taxes are lines of its structure. */
  hasTaxLines: boolean;
  /** What a debt on a trade-in adds to. */
  debtRaises: string;
  /** What it is about, where it can be about nothing else. */
  isAbout?: string;
  /** What sets an answer apart from others, in a few words. */
  setsApart: (quote: Quote, money: (minor: number) => string) => string;
  /** The figures of the answer that a customer can want to be another, as the screen names them. */
  wishes: readonly (readonly [WantedFigure, string])[];
  read: (inputs: File) => Result<Deal>;
  answer: (deal: Deal) => Result<Quote>;
  /** The yearly rates of an answer, of a kind whose figures hang on them; undefined while the code for them has not arrived. */
  ratesOf?: (quote: Quote) => Result<CostOfCredit> | undefined;
  tally: (quote: Quote) => DeskTally;
  /** The same before there is an answer; undefined where a line of it is missing, or hangs on the payments. */
  draftTally: (deal: Deal) => DeskTally | undefined;
  /** Whether a deal needs no more than what arrives first; left out where all of the kind arrives at once. */
  isPlain?: (inputs: File) => boolean;
  /** Left out while only what a plain deal needs has arrived: the screen starts without the code for the rest. */
  rest?: Rest<File, Quote>;
};

/** A kind as what does not care which one it is sees it. */
export type AnyDesk = DeskKind<string, DealFile, Deal, Quote>;

export type LoanKind = DeskKind<"loan", LoanFile, LoanDeal, LoanQuote>;
export type LeaseKind = DeskKind<"lease", LeaseFile, LeaseDeal, LeaseQuote>;

/** The kinds that have arrived. */
export type DeskKinds = { loan?: LoanKind; lease?: LeaseKind };

/** What of a kind is needed has to be there. */
export function there<Part>(part: Part | undefined): Part {
  if (part === undefined) throw new Error("What this deal needs has not arrived.");
  return part;
}
