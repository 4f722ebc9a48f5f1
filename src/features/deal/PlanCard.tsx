import { memo } from "react";
import { currencyDecimals, FREQUENCY_NAMES, formatAmount } from "@/core";
import { planTitle, planWords } from "@/exchange/deal-file/plan";
import { yearsText } from "@/features/figures/format";
import { useDesk } from "./desk/desk-context";
import { shownQuote } from "./option";
import { FigureField } from "./parts/FigureField";

const ROUNDINGS = [
  ["nearest", "to the nearest"],
  ["up", "up to the next"],
  ["down", "down to the last"],
] as const;

/** How the deal is repaid. */
export const PlanCard = memo(function PlanCard() {
  const { option, act } = useDesk();
  const { plan, currency } = option.inputs;
  const smallest = formatAmount(1, currencyDecimals(currency) ?? 2);
  return (
    <section aria-labelledby="plan-title" className="card-paper shrink-0 px-4 py-2.5">
      <h2 id="plan-title" className="font-semibold text-lg">
        Plan: {planTitle(plan)}
      </h2>
      <div className="mt-1 grid grid-cols-2 items-start gap-x-3 gap-y-1.5 md:grid-cols-3">
        <FigureField field="yearlyRate" />
        {!plan.datedPayments && (
          <>
            <FigureField field="payments" />
            <FigureField field="years" />
          </>
        )}
        <FigureField field="signed" />
        {!plan.datedPayments && <FigureField field="firstPayment" />}
        <div>
          <label htmlFor="rounding" className="mb-0.5 block text-faint text-sm">
            Payment rounded
          </label>
          <select
            id="rounding"
            className="field"
            value={plan.rounding ?? "nearest"}
            onChange={event =>
              act({ type: "rounding", rounding: event.target.value as (typeof ROUNDINGS)[number][0] })
            }
          >
            {ROUNDINGS.map(([rounding, words]) => (
              <option key={rounding} value={rounding}>
                {words} {smallest}
              </option>
            ))}
          </select>
        </div>
      </div>
      <FirstPaymentRemark />
      <PartsOfTheFile />
    </section>
  );
});

/** What the plan has beyond its fields, which comes with a deal file. */
function PartsOfTheFile() {
  const { option } = useDesk();
  const parts = planWords(option.inputs.plan, option.inputs.currency);
  if (parts.length === 0) return null;
  return (
    <div className="mt-2 text-sm">
      <h3 className="font-normal font-sans text-faint">Also in this plan, from its deal file</h3>
      <ul className="list-disc pl-5">
        {parts.map(part => (
          <li key={part}>{part}</li>
        ))}
      </ul>
    </div>
  );
}

/** Says how an odd first period is charged, and leads back to a regular one. */
function FirstPaymentRemark() {
  const { option, act } = useDesk();
  const quote = shownQuote(option);
  if (option.inputs.plan.firstPayment === undefined) return null;
  const span = quote?.oddFirstPeriod;
  return (
    <p className="mt-1.5 text-faint text-sm">
      {span && `The first period is ${spanText(span)}, at simple interest. `}
      <button
        type="button"
        className="cursor-pointer text-primary underline"
        onClick={() => {
          act({ type: "typed", field: "firstPayment", text: "" });
          act({ type: "left", field: "firstPayment" });
        }}
      >
        Back to one {FREQUENCY_NAMES[option.inputs.plan.frequency].period} after the contract
      </button>
    </p>
  );
}

function spanText({ months, days }: { months: number; days: number }): string {
  const dayText = days > 0 ? `${days} ${days === 1 ? "day" : "days"}` : "";
  return [yearsText(months), dayText].filter(Boolean).join(" and ");
}
