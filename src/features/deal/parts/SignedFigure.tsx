import { fieldIn, fieldText, fieldUnit } from "../option";
import { useOption } from "../option/option-context";
import type { FigureFieldProps } from "./FigureField";

/** The figure of a signed deal: to be read, and no field. */
export function SignedFigure({ field, called, hideLabel, shortLabel }: FigureFieldProps) {
  const { option } = useOption();
  const { label, type = "figure" } = fieldIn(option, field);
  const unit = fieldUnit(option, field);
  return (
    <dl className="min-w-0">
      <dt className={hideLabel ? "sr-only" : "mb-0.5 block text-faint text-sm"}>
        {shortLabel ?? called ?? label}
      </dt>
      <dd className={`px-2 py-1 ${type === "figure" ? "text-right" : ""}`}>
        {fieldText(option, field) || "–"}
        {unit && ` ${unit}`}
      </dd>
    </dl>
  );
}
