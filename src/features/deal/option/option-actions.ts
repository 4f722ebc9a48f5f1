import { currencyDecimals, formatAmount } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { Locale } from "@/exchange/notation";
import {
  type DeskFind,
  type DownKind,
  type FieldName,
  type ListName,
  type PlanListName,
  withOptional,
} from "../fields";
import { type OptionState, readTyped, shownQuote, withInputs } from "./option-state";
import { loadedRest } from "./rest";
import { amountOf, shownTally } from "./shown-tally";

/** What can be done with one option on the screen. */
export type OptionAction =
  | { type: "typed"; field: FieldName; text: string }
  | { type: "left"; field: FieldName }
  | { type: "find"; figure: DeskFind; payment?: string }
  | { type: "give"; figure: "payment" | "down"; minor: number }
  | { type: "downKind"; kind: DownKind }
  /** Lines of the structure added, taken out or changed otherwise than by typing; `forget` where places have moved. */
  | {
      type: "structure";
      change: (structure: DealFile["structure"]) => DealFile["structure"];
      forget?: ListName;
    }
  /** The same for the plan. */
  | { type: "plan"; change: (plan: DealFile["plan"]) => DealFile["plan"]; forget?: PlanListName }
  /** How figures are written in this deal; as in the house where none is named. */
  | { type: "locale"; locale: Locale | undefined };

/** The option after something was done with it. */
export function optionReducer(state: OptionState, action: OptionAction): OptionState {
  switch (action.type) {
    case "typed":
      return typeIn(state, action.field, action.text);
    case "left":
      return state.errors[action.field] ? state : { ...state, typed: without(state.typed, action.field) };
    case "find":
      return find(state, action.figure, action.payment);
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
      return withInputs(forgotten(state, action.forget), {
        ...state.inputs,
        plan: action.change(state.inputs.plan),
      });
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

/** The option with what is typed in a field forgotten. */
function cleared(state: OptionState, field: FieldName): OptionState {
  return { ...state, typed: without(state.typed, field), errors: without(state.errors, field) };
}

/** The term is typed in two places; typing in one clears the other. */
const TWIN: Partial<Record<FieldName, FieldName>> = { payments: "years", years: "payments" };

function typeIn(state: OptionState, field: FieldName, text: string): OptionState {
  const twin = TWIN[field] ?? field;
  const typed = { ...without(state.typed, twin), [field]: text };
  const reading = readTyped(state, field, text);
  const errors = without(state.errors, field, twin);
  return reading.ok
    ? withInputs({ ...state, typed, errors }, reading.file)
    : { ...state, typed, errors: { ...errors, [field]: reading.sentence } };
}

/** Takes another figure as the one to find; what was found until now stays as a given figure. */
function find(state: OptionState, figure: DeskFind, payment?: string): OptionState {
  const { inputs } = state;
  if (figure === inputs.find && payment === undefined) return state;
  const quote = shownQuote(state);
  const given = loadedRest().giveFound(inputs, quote);
  const known = quote ? amountText(inputs, quote.payment) : undefined;
  const asked = payment ?? inputs.plan.payment ?? known;
  const { price, down, ...structure } = given.structure;
  const next: DealFile = {
    ...given,
    structure: {
      ...structure,
      ...(figure !== "price" && price !== undefined && { price }),
      ...(figure !== "down" && down !== undefined && { down }),
    },
    plan: withOptional(given.plan, "payment", figure === "payment" ? undefined : asked),
    find: figure,
  };
  // What is being typed in a figure that stays given stays too, readable or not.
  return withInputs(cleared(state, figure), next);
}

function give(state: OptionState, figure: "payment" | "down", minor: number): OptionState {
  const { inputs } = state;
  const amount = amountText(inputs, minor);
  return figure === "payment"
    ? withInputs(cleared(state, figure), { ...inputs, plan: { ...inputs.plan, payment: amount } })
    : withInputs(cleared(state, figure), { ...inputs, structure: { ...inputs.structure, down: { amount } } });
}

/** Says the same cash down another way; a percent keeps two decimals. */
function changeDownKind(state: OptionState, kind: DownKind): OptionState {
  const { inputs } = state;
  const { lines, reckoned, due } = shownTally(state);
  const minor = amountOf({ lines }, "down") ?? 0;
  const share = (of: number) => String(of > 0 ? Math.min(100, Math.round((minor / of) * 10_000) / 100) : 0);
  const down = {
    amount: () => ({ amount: amountText(inputs, minor) }),
    percent: () => ({ percent: share(reckoned?.price ?? 0) }),
    percentOfTotal: () => ({ percent: share(reckoned?.total ?? 0), of: "total" as const }),
    dueAtSigning: () => ({ dueAtSigning: amountText(inputs, due ?? minor) }),
  }[kind]();
  return withInputs(cleared(state, "down"), { ...inputs, structure: { ...inputs.structure, down } });
}

/**
 * The option without what was typed and could be read, which stands in its field anyway and may be another figure now,
 * and without what was being typed in a list whose lines have other places.
 */
function forgotten(state: OptionState, list: ListName | PlanListName | undefined): OptionState {
  const { typed, errors } = state;
  const isKept = (field: string) => list === undefined || !field.startsWith(`${list}/`);
  const keep = <Value>(record: Partial<Record<string, Value>>) =>
    Object.fromEntries(Object.entries(record).filter(([field]) => field in errors && isKept(field)));
  return { ...state, typed: keep(typed), errors: keep(errors) };
}

function amountText({ currency }: DealFile, minor: number): string {
  return formatAmount(minor, currencyDecimals(currency) ?? 2);
}
