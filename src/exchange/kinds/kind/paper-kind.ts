import type { SaleConventions } from "@/core";
import type { ChartLine } from "../../charts/repayment-chart";
import type { StandingLine } from "../../paper-parts/house-papers";
import type { Block } from "../../paper-parts/paper";
import type { Segment, SentenceWriter } from "./segment";

/** A line from the price to what is financed, in minor units; taken off where its sign is below zero. */
type PaperLine = { name: string; sign: 1 | -1; amount: number };

/** Who lends, and what the house has settled of what cost papers say. */
export type CostAsked = {
  write: SentenceWriter;
  /** An amount in minor units, without its symbol: for tables. */
  amount: (minor: number) => string;
  creditor: string;
  /** What it is that is bought, or what the credit is for. */
  about: string;
  /** The place whose law counts, by ISO 3166-1. */
  place: string | undefined;
  standing: { readonly [Line in StandingLine]?: string | undefined };
  conventions: SaleConventions;
  /** What was asked of covers that are kept out of what the credit costs. */
  optional: readonly (readonly [name: string, text: string])[];
};

/** A cost paper, or why there is none. */
type CostPaper = { ok: true; title: string; blocks: readonly Block[] } | { ok: false; sentence: string };

/** The same few facts of every option, for its customer; null where a kind has none. */
export type CustomerFacts = {
  payment: string;
  payments: string;
  atSigning: string;
  totalCost: string;
  apr: string | null;
  /** What is owned at the end. */
  atEnd: string;
};

/** What of a kind of deal stands on papers. */
export type PaperKind<Quote> = {
  /** The answer in one line, over its table. */
  line(quote: Quote, write: SentenceWriter): string;
  /** The answer addressed to the customer. */
  sentence(quote: Quote, write: SentenceWriter): readonly Segment<string>[];
  /** What options are set side by side by: each figure's name, the same in every kind that has it, and the figure. */
  compared(quote: Quote, write: SentenceWriter): readonly (readonly [name: string, text: string])[];
  /** What stands on an option's card on the customer's screen. */
  facts(quote: Quote, write: SentenceWriter): CustomerFacts;
  /** From the price to what is financed, and what that is called. */
  tally(quote: Quote): { lines: readonly PaperLine[]; name: string; total: number };
  /** What the figures take for granted, in sentences. */
  assumptions(quote: Quote): readonly string[];
  /** What it costs, item by item, by the law of its place. */
  cost(quote: Quote, asked: CostAsked): CostPaper;
  /** What consumer law measures against its yearly amount, in minor units. */
  measured(quote: Quote): number;
  /** What is owed or left, payment by payment, and at the start; and what it is called. */
  chart(quote: Quote): { lines: readonly ChartLine[]; start: number; name: string };
};
