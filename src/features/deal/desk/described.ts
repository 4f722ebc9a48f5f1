import { type FieldName, type FieldView, fieldOf, isFoundIn } from "../fields";

/** What stands in some fields, by their labels. */
export function described(names: readonly FieldName[], view: FieldView): Record<string, string> {
  const said = names.flatMap((name): [string, string][] => {
    const { label, say, show } = fieldOf(name);
    if (say === null) return [];
    const text = (say ?? show)(view) || "–";
    if (!isFoundIn(name, view.inputs.find)) return [[label, text]];
    return [[label, view.quote ? `${text}, found` : "no answer"]];
  });
  return Object.fromEntries(said);
}
