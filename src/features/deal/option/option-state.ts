import {
  currencyDecimals,
  kindNameOf,
  type LeaseDeal,
  type LeaseQuote,
  type LoanDeal,
  type LoanQuote,
  periodsPerYear,
  type Result,
} from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { Segment, SentenceWriter } from "@/exchange/kinds/kind/segment";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import {
  DEFAULT_LOCALE,
  inNotation,
  type Locale,
  type Notation,
  notationOf,
  plainDate,
  plainFigure,
} from "@/exchange/notation";
import type { TypedAt } from "@/exchange/typing";
import { type Field, type FieldName, type FieldView, type Reading, structureField } from "../fields";
import { type AnyDesk, type DeskKinds, type LeaseKind, type LoanKind, there } from "./desk-kind";

/** What of an option does not hang on its kind. */
type Typing = {
  /** The house's, for a deal that has none of its own. */
  houseLocale: Locale;
  /** The text of fields that are being typed in, or cannot be read. */
  typed: Partial<Record<FieldName, string>>;
  /** Why a field's text cannot be read. */
  errors: Partial<Record<FieldName, string>>;
  /** What is being typed in, until it is left or anything else is done. */
  edit: Edit | null;
};

/** A field that is being typed in, with what stood there before. */
export type Edit = {
  field: FieldName;
  /** The option as it was: each text is read into it, and what cannot be read leaves it so. */
  before: DealFile;
  /** What stood in the field, as the fields read it: "+500" is from there. */
  base: string;
};

/** What was typed, and what follows from it. */
type Answered<Name, Kind, File, Read, Answer> = Typing & {
  kind: Name;
  /** All that its kind does. */
  desk: Kind;
  /** The last readable state of what was typed; this is what is saved. */
  inputs: File;
  /** The inputs as the core reads them, once for each change. */
  deal: Result<Read>;
  answer: Result<Answer>;
  /** The newest answer that held, shown greyed while there is none. */
  lastGood: Answer | null;
  /** Of a signed one: its sentence as it was signed, where it was kept. */
  signedSentence?: (write: SentenceWriter) => readonly Segment<string>[];
};
export type LoanState = Answered<"loan", LoanKind, LoanFile, LoanDeal, LoanQuote>;
export type LeaseState = Answered<"lease", LeaseKind, LeaseFile, LeaseDeal, LeaseQuote>;

/** One option on the screen: all that is shown of it follows from this. */
export type OptionState = LoanState | LeaseState;

/** An option as it opens, by the kinds that have arrived. */
export function openOption(inputs: LoanFile, kinds: DeskKinds, houseLocale?: Locale): LoanState;
export function openOption(inputs: DealFile, kinds: DeskKinds, houseLocale?: Locale): OptionState;
export function openOption(
  inputs: DealFile,
  kinds: DeskKinds,
  houseLocale: Locale = DEFAULT_LOCALE,
): OptionState {
  const desk = there(kinds[kindNameOf(inputs)]);
  return answered({ desk, lastGood: null, typed: {}, errors: {}, houseLocale } as Shown, inputs);
}

/** The kind of an option, whose deals and answers are the option's own. */
export const deskOf = ({ desk }: Pick<OptionState, "desk">): AnyDesk => desk as unknown as AnyDesk;

/** All about a field of an option: one entry says it. */
export const fieldIn = ({ desk }: Pick<OptionState, "desk">, name: FieldName): Field =>
  there(structureField(name) ?? desk.field(name));

/** How figures are typed and shown. */
export function notationIn({ inputs, houseLocale }: Pick<OptionState, "inputs" | "houseLocale">): Notation {
  return notationOf(inputs.locale ?? houseLocale);
}

/** Where something is typed in a field; null where it is no figure that is understood in more than one way. */
export function typedAt(state: OptionState, field: FieldName, base: string | undefined): TypedAt | null {
  const { type = "figure", typed = "amount" } = fieldIn(state, field);
  if (type !== "figure" || typed === "asItIs") return null;
  const { currency, plan } = state.inputs;
  return {
    kind: fieldUnit(state, field) === "%" ? "percent" : typed,
    notation: notationIn(state),
    decimals: currencyDecimals(currency) ?? 2,
    perYear: periodsPerYear(plan.frequency),
    base: base || undefined,
  };
}

/** What stands in a field, as the fields read it. */
export const plainFieldText = (state: OptionState, field: FieldName): string =>
  fieldIn(state, field).show({ ...state, quote: shownQuote(state) } as FieldView);

/** What stood in a field before it was typed in, as the fields read it. */
export const baseOf = (state: OptionState, field: FieldName): string =>
  state.edit?.field === field ? state.edit.base : plainFieldText(state, field);

/**
 * Reads what was typed in a field, as people of the deal's place type it, into the deal.
 *
 * @param base what stood there before
 */
export function readTyped(state: OptionState, field: FieldName, text: string, base?: string): Reading {
  const read = { name: same, figure: plainFigure, date: plainDate }[fieldIn(state, field).type ?? "figure"];
  const typed = text.trim();
  const at = typedAt(state, field, base);
  const plain = (at && state.desk.rest?.understood(typed, at).plain) ?? read(typed, notationIn(state));
  const reading = fieldIn(state, field).read(plain.trim(), state.inputs);
  if (reading.ok) return reading;
  return { ok: false, sentence: reading.sentence.replace(`“${plain}”`, `“${typed}”`) };
}

const same = (text: string) => text;

type Shown = Omit<Typing, "edit"> &
  (Pick<LoanState, "desk" | "lastGood"> | Pick<LeaseState, "desk" | "lastGood">);

/** An option with other inputs of its kind, read and answered; what was being typed in is not any more. */
export function withInputs(state: LoanState, inputs: LoanFile): LoanState;
export function withInputs(state: OptionState, inputs: DealFile): OptionState;
export function withInputs(state: OptionState, inputs: DealFile): OptionState {
  return answered(state, inputs);
}

function answered({ desk, typed, errors, houseLocale, lastGood }: Shown, inputs: DealFile): OptionState {
  const kind = deskOf({ desk });
  const deal = kind.read(inputs);
  const answer = deal.ok ? kind.answer(deal.value) : deal;
  const held = answer.ok ? answer.value : lastGood;
  const typing = { typed, errors, houseLocale, edit: null };
  return { ...typing, kind: desk.name, desk, inputs, deal, answer, lastGood: held } as OptionState;
}

/** The answer that is shown: the present one, or the last that held. */
export function shownQuote(state: LoanState): LoanQuote | null;
export function shownQuote(state: LeaseState): LeaseQuote | null;
export function shownQuote(state: OptionState): LoanQuote | LeaseQuote | null;
export function shownQuote({ answer, lastGood }: OptionState): LoanQuote | LeaseQuote | null {
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
  const text = plainFieldText(state, field);
  return fieldIn(state, field).type === "name" ? text : inNotation(text, notationIn(state));
}

/** Why a field's figure cannot be read, or gives no answer. */
export function fieldError(state: OptionState, field: FieldName): string | undefined {
  const { errors, answer } = state;
  const notation = notationIn(state);
  if (errors[field]) return inNotation(errors[field], notation);
  const isBlamed =
    !answer.ok && (fieldIn(state, field).figure?.(state.inputs) ?? field) === answer.failure.figure;
  if (!isBlamed || isMissing(state, field)) return undefined;
  return inNotation(answer.failure.sentence, notation);
}

/** A figure that was not typed yet is no mistake; the place of the answer asks for it. */
function isMissing(state: OptionState, field: FieldName): boolean {
  return !isFoundIn(state, field) && fieldIn(state, field).show({ ...state, quote: null }) === "";
}

/** What stands beside a field's figure: the same said another way. */
export function fieldBeside(state: OptionState, field: FieldName): string {
  return fieldIn(state, field).beside?.({ ...state, quote: shownQuote(state) } as FieldView) ?? "";
}

/** A field's unit, where it has one. */
export function fieldUnit(state: OptionState, field: FieldName): string | undefined {
  return fieldIn(state, field).unit?.(state.inputs);
}

/** Whether what a field shows is the figure being found. */
export function isFoundIn(state: Pick<OptionState, "desk" | "inputs">, field: FieldName): boolean {
  return fieldIn(state, field).foundAs?.includes(state.inputs.find) ?? false;
}
