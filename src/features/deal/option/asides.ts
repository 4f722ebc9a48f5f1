import { inNotation } from "@/exchange/notation";
import { typedOtherWay, understood } from "@/exchange/typing";
import type { FieldName } from "../fields";
import { type Slip, slipAt } from "../fields/slips";
import {
  baseOf,
  fieldIn,
  fieldUnit,
  notationIn,
  type OptionState,
  plainFieldText,
  readTyped,
  typedAt,
} from "./option-state";

/** What is said beside a field: what was understood of what is typed in it, and what may be meant instead. */
type Aside = {
  understood: string | undefined;
  slip: Slip | undefined;
  /** What cannot be read, as this place writes it, where it is typed as another place does. */
  otherWay: string | undefined;
};

/** What is said beside a field. */
export function asideAt(state: OptionState, field: FieldName): Aside {
  const typed = state.typed[field]?.trim();
  const slip = typed === undefined ? undefined : typingSlip(state, field, typed);
  return {
    understood: typed === undefined ? undefined : understoodText(state, field, typed),
    slip:
      slip ?? (state.inputs.find === fieldIn(state, field).finds ? undefined : slipAt(field, state.inputs)),
    otherWay: typed === undefined || !state.errors[field] ? undefined : readOtherWay(state, field, typed),
  };
}

/** A text that is no figure here, as the figure that it is at another place. */
function readOtherWay(state: OptionState, field: FieldName, typed: string): string | undefined {
  const at = typedAt(state, field, undefined);
  const meant = at ? typedOtherWay(typed, at.notation) : undefined;
  return meant !== undefined && readTyped(state, field, meant).ok ? meant : undefined;
}

/** Another figure that may be meant by what is typed. */
function typingSlip(state: OptionState, field: FieldName, typed: string): Slip | undefined {
  const at = typedAt(state, field, baseOf(state, field));
  const maybe = at ? understood(typed, at).maybe : undefined;
  if (!at || maybe === undefined) return undefined;
  const isFactor = at.kind === "moneyFactor";
  return {
    sentence: isFactor ? "Is this a yearly rate?" : `“${typed}” can be read in two ways.`,
    meant: isFactor
      ? `${maybe}, the factor of ${typed} %`
      : `${grouped(maybe)}${at.kind === "percent" ? " %" : ""}`,
    take: { field, text: maybe },
  };
}

const grouped = (plain: string) => plain.replace(/\B(?=(\d{3})+(\.|$))/g, ",");

/** Signs that do not change what a figure is: groups, spaces, currencies, zeros at the end. */
const bare = (text: string) =>
  text
    .toLowerCase()
    .replace(/[.,]0{1,2}$|[\s,.'’$€£¥₹%]/g, "")
    .replace(/^0+(?=\d)/, "");

/** The figure as it will stand in the field, where that is not what is typed. */
function understoodText(state: OptionState, field: FieldName, typed: string): string | undefined {
  if (typed === "" || state.errors[field] || fieldIn(state, field).type === "name") return undefined;
  const shown = inNotation(plainFieldText(state, field), notationIn(state));
  if (shown === "" || bare(shown) === bare(typed)) return undefined;
  const unit = fieldUnit(state, field);
  return unit === undefined ? shown : `${shown} ${unit}`;
}
