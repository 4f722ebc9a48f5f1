import type { FieldName, FieldView } from "../fields";
import { fieldIn, type OptionState } from "./option-state";

/** What stands in some fields of a kind, by their labels. */
export function describedFields(
  names: readonly FieldName[],
  view: FieldView,
  desk: OptionState["desk"],
): Record<string, string> {
  const said = names.flatMap((name): [string, string][] => {
    const { label, say, show, foundAs } = fieldIn({ desk }, name);
    if (say === null) return [];
    const text = (say ?? show)(view) || "–";
    if (!foundAs?.includes(view.inputs.find)) return [[label, text]];
    return [[label, view.quote ? `${text}, found` : "no answer"]];
  });
  return Object.fromEntries(said);
}
