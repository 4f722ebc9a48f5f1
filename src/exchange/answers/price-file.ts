import { evaluate, evaluateLease, summarize } from "@/core";
import type { LoanFile } from "../deal-file";
import { type DealFile, isLease, readLoan } from "../deal-file";
import { checkDealFile } from "../deal-file/parse";
import { type LeaseFile, readLease } from "../kinds/lease";
import { answerFreeQuestions, answerQuestions } from "../questions";
import type { QuestionFile } from "../questions/questions.schema";
import { readQuestionFile } from "../questions/read-question-file";
import { readJson } from "../text";
import { isWholeDeal, namesOf, readWholeDeal } from "../whole-deal";
import { answerLeaseQuestion, leaseJson } from "../kinds/lease/quote-json";
import { quoteJson } from "../kinds/loan/quote-json";

/** What a file comes to, or one plain sentence. */
type PricedFile = { ok: true; answer: object } | { ok: false; sentence: string };

/**
 * Prices the text of a deal file and answers what it asks, or answers a file of questions without a deal.
 *
 * @param text JSON
 * @param withSchedule whether to list every payment of a deal
 * @param only of a deal with options the one that is priced, from 1; all where left out
 */
export function priceFile(text: string, withSchedule: boolean, only?: number): PricedFile {
  const json = readJson(text);
  if (!json.ok) return json;
  if (isQuestionFile(json.value)) {
    const file = readQuestionFile(json.value);
    return file.ok ? answered(file.value) : file;
  }
  if (isWholeDeal(json.value)) return pricedOptions(json.value, withSchedule, only);
  const file = checkDealFile(json.value);
  if (!file.ok) return file;
  return only === undefined || only === 1 ? pricedInputs(file.value, withSchedule) : noSuchOption(only, 1);
}

const pricedInputs = (file: DealFile, withSchedule: boolean): PricedFile =>
  isLease(file) ? pricedLease(file, withSchedule) : priced(file, withSchedule);

function noSuchOption(only: number, options: number): PricedFile {
  const has = options === 1 ? "one option" : `${options} options`;
  return { ok: false, sentence: `There is no option ${only}: the deal has ${has}.` };
}

/** A whole deal: each option with its answer or the reason why it has none; or one of them as a file of its own. */
function pricedOptions(value: unknown, withSchedule: boolean, only: number | undefined): PricedFile {
  const deal = readWholeDeal(value);
  if (!deal.ok) return deal;
  const { options } = deal.value;
  const pricedOption = ({ inputs }: (typeof options)[number]) =>
    inputs.ok ? pricedInputs(inputs.value, withSchedule) : inputs;
  if (only !== undefined) {
    const option = options[only - 1];
    return option ? pricedOption(option) : noSuchOption(only, options.length);
  }
  const names = namesOf(deal.value);
  const answers = options.map((option, index) => {
    const answer = pricedOption(option);
    return { name: names[index], ...(answer.ok ? answer.answer : { error: answer.sentence }) };
  });
  return { ok: true, answer: { options: answers } };
}

function isQuestionFile(value: unknown): boolean {
  return (
    typeof value === "object" && value !== null && "format" in value && value.format === "kellux-questions"
  );
}

function answered({ ask, currency }: QuestionFile): PricedFile {
  const answers = answerFreeQuestions(ask, currency);
  return answers.ok
    ? { ok: true, answer: { answers: answers.value } }
    : { ok: false, sentence: answers.failure.sentence };
}

function priced(file: LoanFile, withSchedule: boolean): PricedFile {
  const deal = readLoan(file);
  if (!deal.ok) return { ok: false, sentence: deal.failure.sentence };
  if (!withSchedule && !file.ask) {
    const summary = summarize(deal.value);
    return summary.ok
      ? { ok: true, answer: quoteJson(summary.value) }
      : { ok: false, sentence: summary.failure.sentence };
  }
  const quote = evaluate(deal.value);
  if (!quote.ok) return { ok: false, sentence: quote.failure.sentence };
  const answers = answerQuestions(file.ask ?? [], quote.value);
  if (!answers.ok) return { ok: false, sentence: answers.failure.sentence };
  const { schedule, ...json } = quoteJson(quote.value);
  return {
    ok: true,
    answer: {
      ...json,
      ...(withSchedule && schedule && { schedule }),
      ...(file.ask && { answers: answers.value }),
    },
  };
}

function pricedLease(file: LeaseFile, withSchedule: boolean): PricedFile {
  const lease = readLease(file);
  const quote = lease.ok ? evaluateLease(lease.value) : lease;
  if (!quote.ok) return { ok: false, sentence: quote.failure.sentence };
  const answers: object[] = [];
  for (const question of file.ask ?? []) {
    const answer = answerLeaseQuestion(question, quote.value);
    if (!answer.ok) return { ok: false, sentence: answer.failure.sentence };
    answers.push(answer.value);
  }
  const { schedule, ...json } = leaseJson(quote.value) as { schedule: object[] };
  return { ok: true, answer: { ...json, ...(withSchedule && { schedule }), ...(file.ask && { answers }) } };
}
