import type { ChartLine } from "../../charts/repayment-chart";
import type { Segment, SentenceWriter } from "./segment";

/** A line from the price to what is financed, in minor units; taken off where its sign is below zero. */
type PaperLine = { name: string; sign: 1 | -1; amount: number };

/** What of a kind of deal stands on papers. */
export type PaperKind<Quote> = {
  /** The answer in one line, over its table. */
  line(quote: Quote, write: SentenceWriter): string;
  /** The answer addressed to the customer. */
  sentence(quote: Quote, write: SentenceWriter): readonly Segment<string>[];
  /** What options are set side by side by: each figure's name, the same in every kind that has it, and the figure. */
  compared(quote: Quote, write: SentenceWriter): readonly (readonly [name: string, text: string])[];
  /** From the price to what is financed, and what that is called. */
  tally(quote: Quote): { lines: readonly PaperLine[]; name: string; total: number };
  /** What the figures take for granted, in sentences. */
  assumptions(quote: Quote): readonly string[];
  /** What is owed or left, payment by payment, and at the start; and what it is called. */
  chart(quote: Quote): { lines: readonly ChartLine[]; start: number; name: string };
};
