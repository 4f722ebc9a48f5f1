import { currencyDecimals, formatAmount, type KindName, type Rounding } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import type { Locale } from "@/exchange/notation";
import type { StructureFile } from "@/exchange/structure";
import type { DeskFind, DownKind, FieldName, ListName } from "../fields";
import { type LeaseKind, type LoanKind, there } from "./desk-kind";
import {
  deskOf,
  isFoundIn,
  type LeaseState,
  type LoanState,
  type OptionState,
  openOption,
  plainFieldText,
  readTyped,
  shownQuote,
  withInputs,
} from "./option-state";
import { amountOf, shownTally } from "./shown-tally";

/** What can be done with one option on the screen. */
export type OptionAction =
  | { type: "typed"; field: FieldName; text: string }
  | { type: "left"; field: FieldName }
  /** With the payment to find it from as it was typed, where one was. */
  | { type: "find"; figure: DeskFind; wish?: string }
  | { type: "give"; figure: "payment" | "down"; minor: number }
  | { type: "downKind"; kind: DownKind }
  /** Lines of the structure added, taken out or changed otherwise than by typing; `forget` where places have moved. */
  | {
      type: "structure";
      change: (structure: StructureFile) => StructureFile;
      forget?: ListName;
    }
  /** The same for the plan. */
  | { type: "plan"; change: (plan: LoanFile["plan"]) => LoanFile["plan"]; forget?: string }
  /** The same for the plan of a lease. */
  | { type: "lease"; change: (plan: LeasePlanFile) => LeasePlanFile; forget?: string }
  | { type: "rounding"; rounding: Rounding }
  /** What of an answer the figure is found from. */
  | { type: "known"; figure: string }
  /** As another kind; `to` is that kind, which has arrived. */
  | { type: "kind"; kind: KindName; to?: LoanKind | LeaseKind }
  /** The same answered again. */
  | { type: "again" }
  /** How figures are written in this deal; as in the house where none is named. */
  | { type: "locale"; locale: Locale | undefined };

/** What leaves the kind of a deal as it is. */
export type ChangeWithinKind = Exclude<OptionAction, { type: "kind" }>;

/** The option after something was done with it. */
export function optionReducer(state: LoanState, action: ChangeWithinKind): LoanState;
export function optionReducer(state: LeaseState, action: ChangeWithinKind): LeaseState;
export function optionReducer(state: OptionState, action: OptionAction): OptionState;
export function optionReducer(state: OptionState, action: OptionAction): OptionState {
  switch (action.type) {
    case "typed":
      return typeIn(state, action.field, action.text);
    case "left":
      return leave(state, action.field);
    case "find":
      return findFrom(state, action.figure, action.wish);
    case "give":
      return give(state, action.figure, action.minor);
    case "downKind":
      return changeDownKind(state, action.kind);
    case "structure":
      return withInputs(forgotten(state, action.forget), {
        ...state.inputs,
        structure: action.change(state.inputs.structure),
      });
    case "locale":
      return withInputs(forgotten(state, undefined), withOptional(state.inputs, "locale", action.locale));
    case "plan":
    case "lease":
      if (state.kind !== (action.type === "lease" ? "lease" : "loan")) return state;
      return withInputs(forgotten(state, action.forget), withPlan(state, action.change));
    case "rounding":
      return withInputs(state, {
        ...state.inputs,
        plan: { ...state.inputs.plan, rounding: action.rounding },
      } as DealFile);
    case "known": {
      const found = restOf(state).fromKnown(state.inputs, shownQuote(state), action.figure);
      return withInputs(cleared(state, ...state.desk.knownFields), found);
    }
    case "again":
      return readAgain({ ...withInputs(state, state.inputs), edit: state.edit });
    case "kind":
      return action.to === undefined || state.kind === action.kind ? state : turned(state, action.to);
  }
}

function without<Key extends string, Value>(
  record: Partial<Record<Key, Value>>,
  ...keys: Key[]
): Partial<Record<Key, Value>> {
  return Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key as Key))) as Partial<
    Record<Key, Value>
  >;
}

/** The option with what is typed in some fields forgotten. */
function cleared(state: OptionState, ...fields: FieldName[]): OptionState {
  return { ...state, typed: without(state.typed, ...fields), errors: without(state.errors, ...fields) };
}

function typeIn(state: OptionState, field: FieldName, text: string): OptionState {
  const edit =
    state.edit?.field === field
      ? state.edit
      : { field, before: state.inputs, base: plainFieldText(state, field) };
  const typed = { ...state.typed, [field]: text };
  const errors = without(state.errors, field);
  const reading = readTyped({ ...state, inputs: edit.before } as OptionState, field, text, edit.base);
  if (reading.ok) return { ...withInputs({ ...state, typed, errors }, reading.file), edit };
  const before = state.inputs === edit.before ? state : withInputs(state, edit.before);
  return { ...before, typed, errors: { ...errors, [field]: reading.sentence }, edit };
}

/** What could not be read is read once more, what is being typed last: what understands it may be there by now. */
function readAgain(state: OptionState): OptionState {
  const { edit, typed, errors } = state;
  const unread = Object.keys(errors).filter(field => field in typed && field !== edit?.field);
  const fields = [...unread, ...(edit ? [edit.field] : [])] as FieldName[];
  const start = edit ? withInputs(state, edit.before) : state;
  const again = fields.reduce((now, field) => typeIn(now, field, typed[field] ?? ""), start);
  return edit ? again : { ...again, edit };
}

/** What was typed and could be read stands in its field from now on; the rest is read once more, as it may be by now. */
function leave(state: OptionState, field: FieldName): OptionState {
  const { [field]: text } = state.typed;
  const again = state.errors[field] && text !== undefined ? typeIn(state, field, text) : state;
  return { ...again, edit: null, typed: again.errors[field] ? again.typed : without(again.typed, field) };
}

/** All that changes an option of its kind. */
const restOf = (state: OptionState) => there(deskOf(state).rest);

/** The option's plan changed, by what its own kind makes of it. */
function withPlan(state: OptionState, change: (plan: never) => DealFile["plan"]): DealFile {
  return restOf(state).withPlan(state.inputs, change(state.inputs.plan as never));
}

/** Takes another figure as the one to find, from a payment where one was typed that can be read. */
function findFrom(state: OptionState, figure: DeskFind, wish: string | undefined): OptionState {
  const reading = wish === undefined ? undefined : readTyped(state, state.desk.paymentField, wish);
  if (reading && !reading.ok) return state;
  const payment = reading?.file.plan.payment;
  return find(state, figure, payment === undefined ? undefined : String(payment));
}

/** Takes another figure as the one to find; what was found until now stays as a given figure. */
function find(state: OptionState, figure: DeskFind, payment?: string): OptionState {
  const { inputs, typed, errors } = state;
  if (figure === inputs.find && payment === undefined) return state;
  const next = restOf(state).find(inputs, shownQuote(state), figure, payment);
  // What is being typed in a figure that stays given stays too, readable or not.
  const isNowFound = (field: string) =>
    isFoundIn({ ...state, inputs: next } as OptionState, field as FieldName);
  const stays = Object.keys(typed).filter(isNowFound);
  const gone = Object.keys(errors).filter(isNowFound);
  const fields = [...stays, ...gone, ...state.desk.knownFields] as FieldName[];
  return withInputs(cleared(state, ...fields), next);
}

/** The deal as one of another kind; what is being typed and cannot be read is forgotten with its fields. */
function turned(state: OptionState, to: LoanKind | LeaseKind): OptionState {
  const { houseLocale } = state;
  return openOption(turnedInto(state, to), { [to.name]: to }, houseLocale);
}

/** What was typed of a deal as one of another kind. */
export const turnedInto = (state: OptionState, to: LoanKind | LeaseKind): DealFile =>
  restOf(state).turnedInto(state.inputs, shownQuote(state), there(deskOf({ desk: to }).rest).turning);

function give(state: OptionState, figure: "payment" | "down", minor: number): OptionState {
  const { inputs } = state;
  const amount = amountText(inputs, minor);
  if (figure === "down")
    return withInputs(cleared(state, figure), {
      ...inputs,
      structure: { ...inputs.structure, down: { amount } },
    });
  return withInputs(cleared(state, state.desk.paymentField), {
    ...inputs,
    plan: { ...inputs.plan, payment: amount },
  } as DealFile);
}

/** Says the same cash down another way. */
function changeDownKind(state: OptionState, kind: DownKind): OptionState {
  const { inputs } = state;
  const { lines, reckoned, due } = shownTally(state);
  const down = amountOf({ lines }, "down") ?? 0;
  return withInputs(
    cleared(state, "down"),
    restOf(state).withDownKind(inputs, kind, { down, due, ...reckoned }),
  );
}

/**
 * The option without what was typed and could be read, which stands in its field anyway and may be another figure now,
 * and without what was being typed in a list whose lines have other places.
 */
function forgotten(state: OptionState, list: string | undefined): OptionState {
  const { typed, errors } = state;
  const isKept = (field: string) => list === undefined || !field.startsWith(`${list}/`);
  const keep = <Value>(record: Partial<Record<string, Value>>) =>
    Object.fromEntries(Object.entries(record).filter(([field]) => field in errors && isKept(field)));
  return { ...state, typed: keep(typed), errors: keep(errors) };
}

function amountText({ currency }: DealFile, minor: number): string {
  return formatAmount(minor, currencyDecimals(currency) ?? 2);
}
