import { focusSoon } from "@/features/focus/focus-soon";
import { useOptionOf } from "../../../option/option-context";
import { partSelector } from "../../../parts/part-selector";
import { RoundingChoice } from "../../../plan/RoundingChoice";
import { ADDABLE_PARTS } from "./addable-parts";

/** The parts that this plan does not have yet: one press adds one. */
export function PartsToAdd() {
  const { option, act } = useOptionOf("loan");
  const { plan } = option.inputs;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-0.5">
      {(plan.rounding ?? "nearest") === "nearest" && (
        <div className="basis-full text-base md:max-w-48">
          <RoundingChoice />
        </div>
      )}
      {ADDABLE_PARTS.filter(({ has }) => !has(plan)).map(({ name, add }) => (
        <button
          key={name}
          type="button"
          className="cursor-pointer font-semibold text-primary"
          onClick={() => {
            act({ type: "plan", change: add });
            focusSoon(partSelector(name));
          }}
        >
          + {name}
        </button>
      ))}
    </div>
  );
}
