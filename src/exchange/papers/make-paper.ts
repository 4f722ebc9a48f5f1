import { evaluate, type Quote } from "@/core";
import type { DealDocument } from "../deal-document";
import { readDeal } from "../deal-file";
import type { DealForCustomers } from "../for-customers";
import { type Locale, notationOf } from "../notation";
import { proposedNames } from "../option-words";
import type { SignedQuote } from "../signed-quote";
import { quoteOfRecord } from "../signed-quote/quote-of-record";
import type { About, AnsweredOption } from "./about";
import type { Paper } from "./paper";
import type { PaperName } from "./paper-kinds";
import { paymentCalendar } from "./payment-calendar";
import { proposal } from "./proposal";
import { repaymentTable } from "./repayment-table";

/** What is asked of a paper: its kind, what it is of, and the day that is printed on it. */
export type PaperQuestion = {
  name: PaperName;
  /** The deal's id and its version. */
  dealId: string;
  version: number;
  /** A deal as its customer may see it; a paper is made of nothing else. */
  deal: DealForCustomers;
  /** The options that it is of, the first one foremost. */
  options: readonly string[];
  /** What a signed deal was signed with. */
  signed?: readonly SignedQuote[] | undefined;
  house: string;
  /** How figures are written where an option does not say it. */
  locale: Locale;
  /** A day number. */
  day: number;
};

/** A paper that is still to be drawn, or a text that is the file; or why there is none. */
type Made = { ok: true; paper: Paper } | { ok: true; text: string } | { ok: false; sentence: string };

/**
 * Makes a paper, or says why there is none.
 *
 * @example makePaper({ name: "proposal", deal, options: [deal.chosen], house: "Tarn & Hollow", locale: "en-US", day })
 */
export function makePaper(question: PaperQuestion): Made {
  const { name, deal, options, signed, house, locale, day, dealId, version } = question;
  const names = proposedNames(deal.options as DealDocument["options"]);
  const answered: AnsweredOption[] = [];
  for (const id of options) {
    const index = deal.options.findIndex(option => option.id === id);
    const option = deal.options[index];
    if (!option) return { ok: false, sentence: "The deal has no such option any more; look at it again." };
    const answer = answerOf(option as DealDocument["options"][number], signed);
    if ("sentence" in answer)
      return { ok: false, sentence: `There is no paper of an option without an answer: ${answer.sentence}` };
    answered.push({ name: option.name || (names[index] ?? ""), quote: answer.quote });
  }
  const [first] = answered;
  if (!first) return { ok: false, sentence: "A paper is of one option at least." };
  const inputs = deal.options.find(({ id }) => id === options[0])?.inputs;
  const about: About = {
    house,
    customer: deal.customer?.name ?? "",
    vehicle: deal.vehicle?.name ?? "",
    day,
    notation: notationOf(inputs?.locale ?? locale),
  };
  if (name === "paymentCalendar")
    return paymentCalendar(first, about, { dealId, optionId: options[0] ?? "", version });
  return { ok: true, paper: PAPERS[name]([first, ...answered.slice(1)], about) };
}

type DrawnPaper = Exclude<PaperName, "paymentCalendar">;

const PAPERS: Record<DrawnPaper, (options: [AnsweredOption, ...AnsweredOption[]], about: About) => Paper> = {
  proposal,
  repaymentTable: ([option], about) => repaymentTable(option, about),
};

/** What an option answers: as it was signed, else as it is worked out. */
function answerOf(
  { id, inputs }: DealDocument["options"][number],
  signed: readonly SignedQuote[] | undefined,
): { quote: Quote } | { sentence: string } {
  const deal = readDeal(inputs);
  if (!deal.ok) return deal.failure;
  const record = signed?.find(({ optionId }) => optionId === id);
  if (record?.kind === "none") return record.words;
  if (record) return { quote: quoteOfRecord(record, deal.value) };
  const quote = evaluate(deal.value);
  return quote.ok ? { quote: quote.value } : quote.failure;
}
