import { useId } from "react";
import { useIsFrozen } from "../option/option-context";

type CheckProps = {
  label: string;
  checked: boolean;
  disabled?: boolean | undefined;
  onChange: (checked: boolean) => void;
};

/** A yes or no of a line. */
export function Check({ label, checked, disabled, onChange }: CheckProps) {
  return (
    <label className="flex items-center gap-2 text-sm">
      <input
        type="checkbox"
        className="checkbox checkbox-sm bg-base-100"
        checked={checked}
        disabled={disabled}
        onChange={event => onChange(event.target.checked)}
      />
      {label}
    </label>
  );
}

type ChoiceProps<Value extends string> = {
  label: string;
  /** Where something leads to it. */
  id?: string;
  value: Value;
  choices: readonly (readonly [Value, string])[];
  onChange: (value: Value) => void;
};

/** One of some ways. */
export function Choice<Value extends string>(props: ChoiceProps<Value>) {
  const { label, value, choices, onChange } = props;
  const ownId = useId();
  const id = props.id ?? ownId;
  if (useIsFrozen()) {
    return (
      <dl className="min-w-0">
        <dt className="mb-0.5 block text-faint text-sm">{label}</dt>
        <dd className="px-2 py-1">{choices.find(([each]) => each === value)?.[1]}</dd>
      </dl>
    );
  }
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="mb-0.5 block text-faint text-sm">
        {label}
      </label>
      <select
        id={id}
        className="field"
        value={value}
        onChange={event => onChange(event.target.value as Value)}
      >
        {choices.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
}
