import { useIsFrozen } from "../option/option-context";
import { useLinkOrder } from "./line-links";
import { WordSelect } from "./WordSelect";

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
  return <WordSelect {...order} label={label} value={value} choices={choices} onChange={onChange} />;
}
