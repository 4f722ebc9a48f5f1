type Props<Value extends string> = {
  label: string;
  value: Value;
  choices: readonly (readonly [Value, string])[];
  onChange: (value: Value) => void;
};

/** A word of what is assumed, which can be another one; also on a signed deal, for nothing of it is agreed. */
export function AsideChoice<Value extends string>({ label, value, choices, onChange }: Props<Value>) {
  return (
    <select
      aria-label={label}
      className="choice-in-words min-h-6"
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
