import { lazy, memo, Suspense, useState } from "react";
import { FREQUENCY_NAMES, parseIsoDate } from "@/core";
import { planTitle } from "@/exchange/kinds/loan/plan";
import { yearsText } from "@/exchange/text";
import { shownQuote } from "../../../option";
import { useIsFrozen, useOptionOf } from "../../../option/option-context";
import { Changeable } from "../../../parts/Changeable";
import { Choice } from "../../../parts/choices";
import { FigureField } from "../../../parts/FigureField";
import { FREQUENCY_CHOICES } from "../../../plan/choices-of-plan";
import {
  asKind,
  KIND_ID,
  KINDS,
  KINDS_OF_A_VEHICLE,
  type Kind,
  kindOf,
  withFrequency,
} from "../../../plan/kinds";
import { turn } from "../../../plan/turn";
import { hasRareParts } from "./plain";

// A plain loan has none of them: the screen starts without the code for them.
const PartsToAdd = lazy(() => import("./PartsToAdd").then(({ PartsToAdd: parts }) => ({ default: parts })));
const RoundingChoice = lazy(() =>
  import("./PlanParts").then(({ RoundingChoice: choice }) => ({ default: choice })),
);
const PlanParts = lazy(() => import("./PlanParts").then(({ PlanParts: parts }) => ({ default: parts })));

/** How the deal is repaid: what every plan has, then the parts that this one has, and the way to add others. */
export const PlanCard = memo(function PlanCard() {
  const { option, act } = useOptionOf("loan");
  const isFrozen = useIsFrozen();
  const { plan } = option.inputs;
  const firstDate = shownQuote(option)?.firstDate ?? parseIsoDate(plan.signed ?? "") ?? null;
  return (
    <section aria-labelledby="plan-title" className="border-base-300 border-t px-4 py-2">
      <h2 id="plan-title" className="font-semibold text-lg">
        Plan: {planTitle(plan)}
      </h2>
      <Changeable>
        <div className="mt-0.5 grid grid-cols-2 items-start gap-x-3 gap-y-1">
          <FigureField field="yearlyRate" />
          {!plan.datedPayments && <FigureField field="payments" />}
          <Choice
            label="How often"
            value={plan.frequency}
            choices={FREQUENCY_CHOICES}
            onChange={frequency => act({ type: "plan", change: now => withFrequency(now, frequency) })}
          />
          {plan.frequency === "twiceAMonth" && <FigureField field="twiceMonthlyDays" />}
          <Choice
            id={KIND_ID}
            label="Kind"
            value={kindOf(plan) as Kind | "lease"}
            choices={option.inputs.structure.purpose === undefined ? KINDS_OF_A_VEHICLE : KINDS}
            onChange={kind =>
              kind === "lease"
                ? turn(act, kind)
                : act({ type: "plan", change: now => asKind(now, kind, firstDate), forget: "datedPayments" })
            }
          />
          <FigureField field="signed" />
          {!plan.datedPayments && <FigureField field="firstPayment" />}
          {plan.rounding !== undefined && plan.rounding !== "nearest" && (
            <Suspense fallback={null}>
              <RoundingChoice />
            </Suspense>
          )}
        </div>
        <FirstPaymentRemark />
        {hasRareParts(plan) && (
          <Suspense fallback={<p className="text-faint text-sm">Opening …</p>}>
            <PlanParts />
          </Suspense>
        )}
        {!isFrozen && <AddPart />}
      </Changeable>
    </section>
  );
});

/** The way to the parts that this plan does not have yet. */
function AddPart() {
  const [isOpen, setOpen] = useState(false);
  return (
    <details className="mt-1.5 text-sm print:hidden" onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer font-semibold text-primary">
        More: balloon, start, steps, skips, extras, compounding, days, rounding
      </summary>
      {isOpen && (
        <Suspense fallback={null}>
          <PartsToAdd />
        </Suspense>
      )}
    </details>
  );
}

/** Says how an odd first period is charged, and leads back to a regular one. */
function FirstPaymentRemark() {
  const { option, act } = useOptionOf("loan");
  const isFrozen = useIsFrozen();
  const quote = shownQuote(option);
  const span = quote?.oddFirstPeriod;
  if (option.inputs.plan.firstPayment === undefined || (isFrozen && !span)) return null;
  return (
    <p className="mt-1.5 text-faint text-sm">
      {span && `The first period is ${spanText(span)}, at simple interest. `}
      {!isFrozen && (
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
      )}
    </p>
  );
}

function spanText({ months, days }: { months: number; days: number }): string {
  const dayText = days > 0 ? `${days} ${days === 1 ? "day" : "days"}` : "";
  return [yearsText(months), dayText].filter(Boolean).join(" and ");
}
