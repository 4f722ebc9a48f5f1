import { useOptionOf } from "../../../option/option-context";
import { Check } from "../../../parts/choices";

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

/** The months of each year in which nothing is paid. */
export function SkippedMonths() {
  const { option, act } = useOptionOf("loan");
  const skipped = option.inputs.plan.skippedMonths ?? [];
  const put = (month: number, isSkipped: boolean) => {
    const months = MONTHS.map((_, index) => index + 1).filter(each =>
      each === month ? isSkipped : skipped.includes(each),
    );
    // Some month is skipped, and some is paid.
    if (months.length > 0 && months.length < 12)
      act({ type: "plan", change: now => ({ ...now, skippedMonths: months }) });
  };
  return (
    <fieldset className="flex flex-wrap gap-x-3 gap-y-1">
      <legend className="text-faint text-sm">No payment in</legend>
      {MONTHS.map((name, index) => (
        <Check
          key={name}
          label={name}
          checked={skipped.includes(index + 1)}
          onChange={isSkipped => put(index + 1, isSkipped)}
        />
      ))}
    </fieldset>
  );
}
