import { type DayNumber, evaluate, failure, income } from "@/core";
import type { AfterEnd } from "@/core/horizon";
import type { Program } from "@/core/programs";
import type { DealFile } from "../deal-file";
import { type Applicant, type DealerFile, dealerOfFile, readSide } from "../dealer";
import type { Beside } from "../extra-payments/beside";
import { answerDealerQuestion, incomeJson, isDealerQuestion } from "../income";
import { keptJson } from "../keep-for/keep-for-json";
import { readKeepFor } from "../keep-for/read-keep-for";
import { fileKindOf } from "../kinds";
import { answerMatchQuestion } from "../match/match-json";
import { answerAll, answerFreeQuestions } from "../questions";
import type { QuestionFile } from "../questions/questions.schema";
import { readQuestionFile } from "../questions/read-question-file";
import { answerProgramsQuestion } from "../rates/programs-question";
import { readJson } from "../text";
import { isWholeDeal, namesOf, readFirstVersion, readWholeDeal, type WholeDeal } from "../whole-deal";

/** What lenders offer, and the day on which it is asked for, a day number; left out where no file of rates is named. */
type RatesOn = { programs: readonly Program[]; today: DayNumber };

/** What a file comes to, or one plain sentence. */
type PricedFile = { ok: true; answer: object } | { ok: false; sentence: string };

/**
 * Prices the text of a deal file and answers what it asks, or answers a file of questions without a deal.
 *
 * @param text JSON
 * @param withSchedule whether to list every payment of a deal
 * @param only of a deal with options the one that is priced, from 1; all where left out
 * @param rates what lenders offer, where it is asked which programs fit
 */
export function priceFile(text: string, withSchedule: boolean, only?: number, rates?: RatesOn): PricedFile {
  const json = readJson(text);
  if (!json.ok) return json;
  if (isQuestionFile(json.value)) {
    const file = readQuestionFile(json.value);
    return file.ok ? answered(file.value) : file;
  }
  if (isWholeDeal(json.value)) return pricedOptions(json.value, withSchedule, only, rates);
  const { inputs: file, asides, ofTheDeal, place, dealer, applicant } = readFirstVersion(json.value);
  if (!file.ok) return file;
  return only === undefined || only === 1
    ? priced(file.value, { ...ofTheDeal, ...asides, place, dealer, applicant, rates }, withSchedule)
    : noSuchOption(only, 1);
}

function noSuchOption(only: number, options: number): PricedFile {
  const has = options === 1 ? "one option" : `${options} options`;
  return { ok: false, sentence: `There is no option ${only}: the deal has ${has}.` };
}

/** A whole deal: each option with its answer or the reason why it has none; or one of them as a file of its own. */
function pricedOptions(
  value: unknown,
  withSchedule: boolean,
  only: number | undefined,
  rates: RatesOn | undefined,
): PricedFile {
  const deal = readWholeDeal(value);
  if (!deal.ok) return deal;
  const { options } = deal.value;
  const { asides: ofTheDeal, heading, applicant } = deal.value;
  const { place } = heading;
  const pricedOption = ({ inputs, asides, dealer }: (typeof options)[number]) =>
    inputs.ok
      ? priced(inputs.value, { ...ofTheDeal, ...asides, place, dealer, applicant, rates }, withSchedule)
      : inputs;
  if (only !== undefined) {
    const option = options[only - 1];
    return option ? pricedOption(option) : noSuchOption(only, options.length);
  }
  const names = namesOf(deal.value);
  const answers = options.map((option, index) => {
    const answer = pricedOption(option);
    return { name: names[index], ...(answer.ok ? answer.answer : { error: answer.sentence }) };
  });
  return {
    ok: true,
    answer: { options: answers, ...(ofTheDeal.keepFor && { keepFor: keptAnswer(deal.value, names) }) },
  };
}

/** What keeping the vehicle comes to, or why that has no answer. */
function keptAnswer({ options, chosen, asides, heading }: WholeDeal, names: readonly string[]): object {
  const quotes = options.map(({ inputs }) => {
    const deal = inputs.ok ? fileKindOf(inputs.value).read(inputs.value) : undefined;
    const quote = deal?.ok ? evaluate(deal.value) : undefined;
    return quote?.ok ? quote.value : null;
  });
  const { keepFor, return: assumed } = asides;
  if (!keepFor) return {};
  const after: (AfterEnd | undefined)[] = [];
  for (const { option, then } of keepFor.after ?? []) after[option - 1] = then;
  const currency = quotes[chosen]?.filled.currency ?? "USD";
  const read = readKeepFor(keepFor, { currency, return: assumed, after });
  const answer = read.ok
    ? keptJson({ quotes, chosen, keepFor: read.value, place: heading.place }, names)
    : read;
  return answer.ok ? answer.value : { error: answer.failure.sentence };
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

/** What a file is answered beside, and what the dealer alone knows of it. */
type AllBeside = Beside & {
  dealer: DealerFile;
  applicant: Applicant | undefined;
  rates: RatesOn | undefined;
};

function priced(
  file: DealFile,
  { dealer, applicant, rates, ...beside }: AllBeside,
  withSchedule: boolean,
): PricedFile {
  const { read, brief, json, answer, early } = fileKindOf(file);
  const deal = read(file);
  if (!deal.ok) return { ok: false, sentence: deal.failure.sentence };
  const isKnown = Object.keys(dealer).length > 0;
  if (!withSchedule && !file.ask && !beside.early && !isKnown) {
    const short = brief(deal.value);
    return short.ok ? { ok: true, answer: short.value } : { ok: false, sentence: short.failure.sentence };
  }
  const quote = evaluate(deal.value);
  if (!quote.ok) return { ok: false, sentence: quote.failure.sentence };
  const ofOption = dealerOfFile(file.structure, dealer);
  const side = readSide(file, ofOption);
  if (!side.ok) return { ok: false, sentence: side.failure.sentence };
  const known = { side: side.value, place: beside.place };
  const answers = answerAll<{ ask: string }>(file.ask ?? [], question => {
    if (question.ask === "programs")
      return rates
        ? answerProgramsQuestion(question as never, file, {
            ...rates,
            applicant,
            dealer: ofOption,
            place: beside.place,
          })
        : failure("buyRate", "Which programs fit needs a file of rates: name one by --rates FILE.");
    if (question.ask === "match") return answerMatchQuestion(question as never, quote.value, beside.place);
    return isDealerQuestion(question)
      ? answerDealerQuestion(question as never, quote.value, known)
      : answer(question as never, quote.value, beside);
  });
  if (!answers.ok) return { ok: false, sentence: answers.failure.sentence };
  const { schedule, ...figures } = json(quote.value);
  return {
    ok: true,
    answer: {
      ...figures,
      ...(withSchedule && schedule && { schedule }),
      ...(beside.early && { early: early(beside.early, quote.value) }),
      ...(isKnown && { dealer: incomeJson(income(quote.value, side.value, beside.place), quote.value) }),
      ...(file.ask && { answers: answers.value }),
    },
  };
}
