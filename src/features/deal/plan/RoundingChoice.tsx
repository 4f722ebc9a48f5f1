import { useOption } from "../option/option-context";
import { Choice } from "../parts/choices";
import { ROUNDINGS } from "./choices-of-plan";

/** How the payment is rounded: to the nearest unless something else is agreed. */
export function RoundingChoice() {
  const { option, act } = useOption();
  return (
    <Choice
      label="Payment rounded"
      value={option.inputs.plan.rounding ?? "nearest"}
      choices={ROUNDINGS}
      onChange={rounding => act({ type: "rounding", rounding })}
    />
  );
}
