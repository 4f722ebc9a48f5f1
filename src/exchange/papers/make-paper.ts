import { evaluate, repaidEarly } from "@/core";
import type { DealDocument } from "../deal-document";
import { readDeal } from "../deal-file";
import { extraWords } from "../extra-payments/extra-words";
import { readEarly } from "../extra-payments/read-early";
import type { DealForCustomers } from "../for-customers";
import { type Locale, notationOf } from "../notation";
import { proposedNames } from "../option-words";
import type { Paper } from "../paper-parts/paper";
import type { SignedQuote } from "../signed-quote";
import { quoteOfRecord } from "../signed-quote/quote-of-record";
import { fileWriter } from "../text";
import { makeWorkbook } from "../workbook/make-workbook";
import type { Workbook } from "../workbook-parts/workbook";
import type { About, AnsweredOption, PaperHouse } from "./about";
import { commissionLine } from "./commission";
import { comparison } from "./comparison";
import { costEstimate } from "./cost-estimate";
import { extrasPaper } from "./extras-paper";
import { type Letter, letterOf } from "./letter";
import type { Made } from "./made";
import type { PaperDetails } from "./paper-details";
import type { PaperName } from "./paper-kinds";
import { paymentCalendar } from "./payment-calendar";
import { payoffEstimate } from "./payoff-estimate";
import { perThousand } from "./per-thousand";
import { proposal } from "./proposal";
import { repaymentTable, type TriedTable } from "./repayment-table";

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
  house: PaperHouse;
  /** How figures are written where an option does not say it. */
  locale: Locale;
  /** A day number. */
  day: number;
  details?: PaperDetails;
};

/** A paper or a workbook that is still to be written, a text that is the file, or a letter; or why there is none. */
type MadePaper = Made<{ paper: Paper } | { text: string } | { letter: Letter } | { workbook: Workbook }>;

/**
 * Makes a paper, or says why there is none.
 *
 * @example makePaper({ name: "proposal", deal, options: [deal.chosen], house: { name: "Tarn & Hollow", settled: {} }, locale: "en-US", day })
 */
export function makePaper(question: PaperQuestion): MadePaper {
  const { name, deal, options, signed, house, locale, day, details = {} } = question;
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
  const [first, ...others] = answered;
  if (!first) return { ok: false, sentence: "A paper is of one option at least." };
  const inputs = deal.options.find(({ id }) => id === options[0])?.inputs;
  const about: About = {
    house,
    customer: deal.customer?.name ?? "",
    vehicle: deal.vehicle?.name ?? "",
    place: deal.place,
    day,
    notation: notationOf(inputs?.locale ?? locale),
  };
  return PAPERS[name]([first, ...others], about, { ...question, details });
}

type Asked = PaperQuestion & { details: PaperDetails };

const lenderOf = ({ deal, options }: Asked) =>
  deal.options.find(({ id }) => id === options[0])?.inputs.lender;

const structureOf = ({ deal, options }: Asked) =>
  (deal.options as DealDocument["options"]).find(({ id }) => id === options[0])?.inputs.structure;

const PAPERS: Record<
  PaperName,
  (options: [AnsweredOption, ...AnsweredOption[]], about: About, asked: Asked) => MadePaper
> = {
  proposal: (options, about, asked) => {
    const commission = commissionLine(options[0].quote, about, asked.details.commission);
    if (typeof commission === "object") return commission;
    const lender = lenderOf(asked);
    const also = [...(lender ? [`The lender is ${lender}.`] : []), ...(commission ? [commission] : [])];
    return { ok: true, paper: proposal(options, about, also) };
  },
  costEstimate: ([option], about, asked) =>
    costEstimate(option, about, { use: asked.deal.use, structure: structureOf(asked) }),
  extras: ([option], about, asked) => extrasPaper(option, about, structureOf(asked)),
  repaymentTable: ([option], about, asked) => {
    if (!asked.details.isTried) return { ok: true, paper: repaymentTable(option, about) };
    const tried = triedOf(option, asked);
    return tried.ok ? { ok: true, paper: repaymentTable(option, about, tried) } : tried;
  },
  comparison: ([option], about, { deal, options: [id = ""] }) =>
    comparison(option, about, deal.asides?.options?.[id]?.theirs),
  payoff: ([option], about, { details }) => payoffEstimate(option, about, details),
  paymentCalendar: ([option], about, { dealId, version, options: [optionId = ""] }) =>
    paymentCalendar(option, about, { dealId, optionId, version }),
  workbook: (options, { house, ...about }) => ({
    ok: true,
    workbook: makeWorkbook(options, { ...about, house: house.name }),
  }),
  letter: ([option], about, { details }) => letterOf(option, about, details),
  perThousand: ([option], about, { details }) => perThousand(option, about, details),
};

/** The extra payments that are tried on the option, and what they make of it. */
function triedOf({ quote }: AnsweredOption, { deal, options: [id = ""] }: Asked): Made<TriedTable> {
  const early = deal.asides?.options?.[id]?.early;
  if (quote.kind === "lease" || !early)
    return { ok: false, sentence: "No extra payments are tried on this option." };
  const extra = readEarly(early, quote.deal.currency);
  const repaid = extra.ok ? repaidEarly(quote, extra.value) : extra;
  if (!repaid.ok) return { ok: false, sentence: repaid.failure.sentence };
  return {
    ok: true,
    words: extraWords(early, fileWriter(quote.deal.currency)).join("; "),
    repaid: repaid.value,
  };
}

/** What an option answers: as it was signed, else as it is worked out. */
function answerOf(
  { id, inputs }: DealDocument["options"][number],
  signed: readonly SignedQuote[] | undefined,
): Pick<AnsweredOption, "quote"> | { sentence: string } {
  const deal = readDeal(inputs);
  if (!deal.ok) return deal.failure;
  const record = signed?.find(({ optionId }) => optionId === id);
  if (record?.kind === "none") return record.words;
  if (record) return { quote: quoteOfRecord(record, deal.value) };
  const quote = evaluate(deal.value);
  return quote.ok ? { quote: quote.value } : quote.failure;
}
