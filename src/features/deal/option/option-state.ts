import { type Deal, evaluate, type Quote, type Result } from "@/core";
import { type DealFile, readDeal } from "@/exchange/deal-file";
import { type FieldName, fieldOf, isFoundIn, showField } from "../fields";

/** One option on the screen: all that is shown of it follows from this. */
export type OptionState = {
  /** The last readable state of what was typed; this is what is saved. */
  inputs: DealFile;
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
export function openOption(inputs: DealFile): OptionState {
  return withInputs({ lastGood: null, typed: {}, errors: {} }, inputs);
}

/** An option with other inputs, read and answered. */
export function withInputs(
  state: Pick<OptionState, "lastGood" | "typed" | "errors">,
  inputs: DealFile,
): OptionState {
  const deal = readDeal(inputs);
  const answer = deal.ok ? evaluate(deal.value) : deal;
  const { typed, errors } = state;
  return { inputs, deal, answer, lastGood: answer.ok ? answer.value : state.lastGood, typed, errors };
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
  return state.typed[field] ?? showField(field, { ...state, quote: shownQuote(state) });
}

/** Why a field's figure cannot be read, or gives no answer. */
export function fieldError(state: OptionState, field: FieldName): string | undefined {
  const { errors, answer } = state;
  if (errors[field]) return errors[field];
  if (answer.ok || answer.failure.figure !== field || isMissing(state, field)) return undefined;
  return answer.failure.sentence;
}

/** A figure that was not typed yet is no mistake; the place of the answer asks for it. */
function isMissing(state: OptionState, field: FieldName): boolean {
  return !isFoundIn(field, state.inputs.find) && showField(field, { ...state, quote: null }) === "";
}

/** A field's unit, where it has one. */
export function fieldUnit({ inputs }: OptionState, field: FieldName): string | undefined {
  return fieldOf(field).unit?.(inputs);
}
