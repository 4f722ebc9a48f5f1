import type { Result } from "@/core";
import type { TableRows } from "./table-rows";

/** What of a kind of deal goes in and out: its files, its answers, its tables and its words. */
export type FileKind<File, Deal, Quote, Question, Record> = {
  /** Turns what was typed, once it passed its schema, into the deal that the core computes with. */
  read(file: File): Result<Deal>;
  /** The answer for programs: money and rates as decimal strings, dates as ISO 8601; with its table. */
  json(quote: Quote): { schedule?: readonly object[] | undefined };
  /** The same of a deal without its table, for many deals. */
  brief(deal: Deal): Result<object>;
  /** Answers a question about an answered deal. */
  answer(question: Question, quote: Quote): Result<object>;
  /** Its table, as it is filed. */
  rows(quote: Quote): TableRows;
  /** What an option is signed with. */
  record(optionId: string, quote: Quote): Record;
};
