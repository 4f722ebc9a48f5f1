import type { ComponentProps } from "react";

type Props<Value extends string> = Omit<ComponentProps<"select">, "onChange" | "value"> & {
  label: string;
  value: Value;
  choices: readonly (readonly [Value, string])[];
  onChange: (value: Value) => void;
};

/** A word within a line or a sentence that can be another one, also where nothing that was agreed can. */
export function WordSelect<Value extends string>({ label, choices, onChange, ...rest }: Props<Value>) {
  return (
    <select
      {...rest}
      aria-label={label}
      className="choice-in-words"
      onChange={event => onChange(event.target.value as Value)}
    >
      {choices.map(([each, words]) => (
        <option key={each} value={each}>
          {words}
        </option>
      ))}
    </select>
  );
}
