import { useIsFrozen } from "../option/option-context";
import { useLinkOrder } from "./line-links";

type Props<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly (readonly [Value, string])[];
  onChange: (value: Value) => void;
};

/** A word of a line or a sentence that can be another one. */
export function ChoiceInWords<Value extends string>({ label, value, choices, onChange }: Props<Value>) {
  const order = useLinkOrder();
  if (useIsFrozen()) return choices.find(([each]) => each === value)?.[1] ?? "";
  return (
    <select
      {...order}
      aria-label={label}
      className="choice-in-words"
      value={value}
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
