import type { VehicleColumn } from "@/exchange/stock/vehicle-columns";

type Props = {
  /** Null for the description. */
  column: VehicleColumn | null;
  /** Of what it is. */
  called: string;
  text: string;
  hasFocus: boolean;
  isNew: boolean;
  longest: number;
  isInvalid: boolean;
  describedBy: string | undefined;
  onChange: (text: string) => void;
};

const NUMERIC: ReadonlySet<string> = new Set(["amount", "whole", "year"]);

/** A fact of a vehicle: text until it is touched, then a field. */
export function FactField(props: Props) {
  const { column, called, text, hasFocus, isNew, longest, isInvalid, describedBy, onChange } = props;
  // A line that is being added shows what can be typed.
  const style = isNew ? "field" : "field field-calm";
  const common = {
    "aria-label": `${column?.label ?? "Description"} of ${called}`,
    "aria-invalid": isInvalid,
    "aria-describedby": describedBy,
  };
  if (column?.choices) {
    return (
      <select {...common} className={style} value={text} onChange={event => onChange(event.target.value)}>
        <option value="" aria-label="not said" />
        {column.choices.map(choice => (
          <option key={choice} value={choice}>
            {choice}
          </option>
        ))}
      </select>
    );
  }
  const isNumeric = column !== null && NUMERIC.has(column.kind);
  return (
    <input
      {...common}
      className={`${style} ${isNumeric ? "text-right" : ""}`}
      // biome-ignore lint/a11y/noAutofocus: a new line was asked for
      autoFocus={hasFocus}
      inputMode={isNumeric ? "decimal" : undefined}
      maxLength={longest}
      value={text}
      onChange={event => onChange(event.target.value)}
    />
  );
}
