import { useLoan } from "../option/option-context";
import { ADDABLE_PARTS } from "./addable-parts";

/** The parts that this plan does not have yet: one press adds one. */
export function PartsToAdd() {
  const { option, act } = useLoan();
  const { plan } = option.inputs;
  return (
    <div className="mt-1 flex flex-wrap gap-x-3 gap-y-0.5">
      {ADDABLE_PARTS.filter(({ has }) => !has(plan)).map(({ name, add }) => (
        <button
          key={name}
          type="button"
          className="cursor-pointer font-semibold text-primary"
          onClick={() => act({ type: "plan", change: add })}
        >
          + {name}
        </button>
      ))}
    </div>
  );
}
