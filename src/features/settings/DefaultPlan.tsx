import { COMPOUNDED } from "@/exchange/kinds/loan/plan";
import { useOptionOf } from "@/features/deal/option/option-context";
import { Choice } from "@/features/deal/parts/choices";
import { FigureField } from "@/features/deal/parts/FigureField";
import { DAY_COUNTS, FREQUENCY_CHOICES, ROUNDINGS } from "@/features/deal/plan/choices-of-plan";
import { asKind, KINDS, withFrequency } from "@/features/deal/plan/kinds";

type Compounding = keyof typeof COMPOUNDED;

const COMPOUNDINGS = Object.entries(COMPOUNDED) as [Compounding, string][];
const TIMES = [["equal", "as equal periods"], ...DAY_COUNTS] as const;
const DEFAULT_KINDS = KINDS.filter(([kind]) => kind !== "listed");

/** The plan that a new deal starts with: its rate and its term are then rarely empty. */
export function DefaultPlan() {
  const { option, act } = useOptionOf("loan");
  const { plan } = option.inputs;
  return (
    <section aria-labelledby="default-plan-title" className="card-paper px-4 py-3">
      <h2 id="default-plan-title" className="font-semibold text-lg">
        Plan of a new deal
      </h2>
      <div className="mt-1 grid grid-cols-2 items-start gap-x-3 gap-y-2 md:grid-cols-3">
        <FigureField field="yearlyRate" />
        <FigureField field="payments" />
        <Choice
          label="How often"
          value={plan.frequency}
          choices={FREQUENCY_CHOICES}
          onChange={frequency => act({ type: "plan", change: now => withFrequency(now, frequency) })}
        />
        <Choice
          label="Kind"
          value={plan.kind}
          choices={DEFAULT_KINDS}
          onChange={kind => act({ type: "plan", change: now => asKind(now, kind, null) })}
        />
        <Choice
          label="Payment rounded"
          value={plan.rounding ?? "nearest"}
          choices={ROUNDINGS}
          onChange={rounding => act({ type: "plan", change: now => ({ ...now, rounding }) })}
        />
        <FigureField field="roundingStep" />
        <Choice
          label="Interest compounded"
          value={plan.compounding ?? "payments"}
          choices={COMPOUNDINGS}
          onChange={compounding => act({ type: "plan", change: now => ({ ...now, compounding }) })}
        />
        <Choice
          label="Time counted"
          value={plan.dayCount ?? "equal"}
          choices={TIMES}
          onChange={dayCount => act({ type: "plan", change: now => ({ ...now, dayCount }) })}
        />
      </div>
    </section>
  );
}
