import { type Deal, type Quote, quoteBy, type Result } from "@/core";
import { type DealFile, readDeal } from "@/exchange/deal-file";
import {
  DEFAULT_LOCALE,
  inNotation,
  type Locale,
  type Notation,
  notationOf,
  plainDate,
  plainFigure,
} from "@/exchange/notation";
import { type FieldName, fieldOf, isFoundIn, type Reading, readField, showField } from "../fields";
import { answeringOf } from "./rest";

/** One option on the screen: all that is shown of it follows from this. */
export type OptionState = {
  /** The last readable state of what was typed; this is what is saved. */
  inputs: DealFile;
  /** The house's, for a deal that has none of its own. */
  houseLocale: Locale;
  /** The inputs as the core reads them, once for each change. */
  deal: Result<Deal>;
  answer: Result<Quote>;
  /** The newest answer that held, shown greyed while there is none. */
  lastGood: Quote | null;
  /** The text of fields that are being typed in, or cannot be read. */
  typed: Partial<Record<FieldName, string>>;
  /** Why a field's text cannot be read. */
  errors: Partial<Record<FieldName, string>>;
};

/** An option as it opens. */
export function openOption(inputs: DealFile, houseLocale: Locale = DEFAULT_LOCALE): OptionState {
  return withInputs({ lastGood: null, typed: {}, errors: {}, houseLocale }, inputs);
}

/** How figures are typed and shown. */
export function notationIn({ inputs, houseLocale }: Pick<OptionState, "inputs" | "houseLocale">): Notation {
  return notationOf(inputs.locale ?? houseLocale);
}

/** Reads what was typed in a field, as people of the deal's place type it, into the deal. */
export function readTyped(state: OptionState, field: FieldName, text: string): Reading {
  const read = { name: same, figure: plainFigure, date: plainDate }[fieldOf(field).type ?? "figure"];
  const plain = read(text.trim(), notationIn(state));
  const reading = readField(field, plain, state.inputs);
  if (reading.ok) return reading;
  return { ok: false, sentence: reading.sentence.replace(`“${plain}”`, `“${text.trim()}”`) };
}

const same = (text: string) => text;

/** An option with other inputs, read and answered. */
export function withInputs(
  state: Pick<OptionState, "lastGood" | "typed" | "errors" | "houseLocale">,
  inputs: DealFile,
): OptionState {
  const deal = readDeal(inputs);
  const answer = deal.ok ? quoteBy(answeringOf(deal.value), deal.value) : deal;
  const { typed, errors, houseLocale } = state;
  const lastGood = answer.ok ? answer.value : state.lastGood;
  return { inputs, deal, answer, lastGood, typed, errors, houseLocale };
}

/** The answer that is shown: the present one, or the last that held. */
export function shownQuote({ answer, lastGood }: OptionState): Quote | null {
  return answer.ok ? answer.value : lastGood;
}

/** Whether what is shown no longer follows from what is typed. */
export function isStale({ answer, errors }: OptionState): boolean {
  return !answer.ok || hasErrors(errors);
}

/** Whether something typed cannot be read. */
export function hasErrors(errors: OptionState["errors"]): boolean {
  return Object.keys(errors).length > 0;
}

/** What a field shows: what is being typed, or else its figure. */
export function fieldText(state: OptionState, field: FieldName): string {
  const typed = state.typed[field];
  if (typed !== undefined) return typed;
  const text = showField(field, { ...state, quote: shownQuote(state) });
  return fieldOf(field).type === "name" ? text : inNotation(text, notationIn(state));
}

/** Why a field's figure cannot be read, or gives no answer. */
export function fieldError(state: OptionState, field: FieldName): string | undefined {
  const { errors, answer } = state;
  const notation = notationIn(state);
  if (errors[field]) return inNotation(errors[field], notation);
  if (answer.ok || answer.failure.figure !== field || isMissing(state, field)) return undefined;
  return inNotation(answer.failure.sentence, notation);
}

/** A figure that was not typed yet is no mistake; the place of the answer asks for it. */
function isMissing(state: OptionState, field: FieldName): boolean {
  return !isFoundIn(field, state.inputs.find) && showField(field, { ...state, quote: null }) === "";
}

/** A field's unit, where it has one. */
export function fieldUnit({ inputs }: OptionState, field: FieldName): string | undefined {
  return fieldOf(field).unit?.(inputs);
}
