import type { Result } from "@/core";
import type { Beside } from "../../extra-payments/beside";
import type { TableRows } from "./table-rows";

/** What a list of deals shows of one, in minor units: of a lease its adjusted capitalized cost as what is financed. */
export type Listed = { payment: number; amountFinanced: number };

/** What of a kind of deal goes in and out: its files, its answers, its tables and its words. */
export type FileKind<File extends { plan: object }, Deal, Quote, Question, Record> = {
  /** Turns what was typed, once it passed its schema, into the deal that the core computes with. */
  read(file: File): Result<Deal>;
  /** The answer for programs: money and rates as decimal strings, dates as ISO 8601; with its table. */
  json(quote: Quote): { schedule?: readonly object[] | undefined };
  /** The same of a deal without its table, for many deals. */
  brief(deal: Deal): Result<object>;
  /** Answers a question about an answered deal. */
  answer(question: Question, quote: Quote, beside: Beside): Result<object>;
  /** What extra payments that are tried make of it, or why there can be none. */
  early(early: NonNullable<Beside["early"]>, quote: Quote): object;
  /** Its table, as it is filed. */
  rows(quote: Quote): TableRows;
  /** How it is paid, in a list of deals. */
  paid(plan: File["plan"]): string;
  /** What a list of deals shows of it, of the present answer or of what was signed. */
  listed(deal: Deal): Result<Listed>;
  listedRecord(record: Record): Listed;
  /** What an option is signed with. */
  record(optionId: string, quote: Quote): Record;
};
