import type { ReactNode } from "react";
import type { LoanFile } from "@/exchange/kinds/loan";
import { COMPOUNDED } from "@/exchange/kinds/loan/plan";
import { useOptionOf } from "../../../option/option-context";
import { Choice } from "../../../parts/choices";
import { FigureField } from "../../../parts/FigureField";
import { TakeOut } from "../../../parts/TakeOut";
import { DAY_COUNTS } from "../../../plan/choices-of-plan";
import { ADDABLE_PARTS, type AddablePart } from "./addable-parts";
import { PlanTable } from "./PlanTable";
import { SkippedMonths } from "./SkippedMonths";

type PlanFile = LoanFile["plan"];

const COMPOUNDINGS = (Object.entries(COMPOUNDED) as [NonNullable<PlanFile["compounding"]>, string][]).filter(
  ([compounding]) => compounding !== "payments",
);

export { RoundingChoice } from "../../../plan/RoundingChoice";

/** The parts that a plan has, each with its figures and the way to remove. */
export function PlanParts() {
  const { option } = useOptionOf("loan");
  const { plan } = option.inputs;
  return (
    <div className="mt-2 grid grid-cols-2 items-end gap-x-3 gap-y-1.5 border-base-300 border-t pt-1.5">
      {plan.kind === "flatRate" && <EarningChoice />}
      {ADDABLE_PARTS.filter(({ has }) => has(plan)).map(part => (
        <div key={part.name} data-part={part.name} className="contents">
          <PartOf part={part} />
        </div>
      ))}
      {plan.datedPayments && <PlanTable list="datedPayments" />}
    </div>
  );
}

function PartOf({ part }: { part: AddablePart }) {
  const { option, act } = useOptionOf("loan");
  const { plan } = option.inputs;
  const change = (members: Partial<PlanFile>) =>
    act({ type: "plan", change: now => ({ ...now, ...members }) });
  switch (part.name) {
    case "start without payments":
      return (
        <>
          <Part part={part}>
            <FigureField field="deferred" />
          </Part>
          <Choice
            label="Interest meanwhile"
            value={plan.deferred?.interest ?? "accrues"}
            choices={[
              ["accrues", "is added to the loan"],
              ["waived", "is waived"],
            ]}
            onChange={interest => change({ deferred: { payments: 3, ...plan.deferred, interest } })}
          />
        </>
      );
    case "giving it back in place of the balloon":
      return (
        <>
          <Part part={part}>
            <FigureField field="returnFee" />
          </Part>
          <ReturnUnit />
          <FigureField field="returnDistance" />
          <FigureField field="returnBeyond" />
        </>
      );
    case "skipped months":
      return (
        <Part part={part} isWide>
          <SkippedMonths />
        </Part>
      );
    case "steps":
      return <PlanTable list="steps" />;
    case "extra every year":
      return (
        <>
          <Part part={part}>
            <FigureField field="yearlyExtra" />
          </Part>
          <FigureField field="yearlyExtraFrom" />
        </>
      );
    case "extra on a date":
      return <PlanTable list="once" />;
    case "charge for paying early":
      return (
        <Part part={part} isWide>
          <FigureField field="earlyFee" />
        </Part>
      );
    case "payments in advance":
      return (
        <Part part={part}>
          <p className="text-sm">Paid in advance, the first at signing</p>
        </Part>
      );
    case "compounding":
      return (
        <Part part={part}>
          <Choice
            label="Interest compounded"
            value={plan.compounding ?? "yearly"}
            choices={COMPOUNDINGS}
            onChange={compounding => change({ compounding })}
          />
        </Part>
      );
    case "counting of days":
      return (
        <Part part={part}>
          <Choice
            label="Days counted"
            value={plan.dayCount ?? "actual/365"}
            choices={DAY_COUNTS}
            onChange={dayCount => change({ dayCount })}
          />
        </Part>
      );
    default:
      return <Part part={part}>{part.field && <FigureField field={part.field} />}</Part>;
  }
}

function Part({ part, isWide, children }: { part: AddablePart; isWide?: boolean; children: ReactNode }) {
  const { act } = useOptionOf("loan");
  return (
    <div className={isWide ? "col-span-full" : ""}>
      {children}
      <TakeOut name={part.name} onClick={() => act({ type: "plan", change: part.takeOut })} />
    </div>
  );
}

function EarningChoice() {
  const { option, act } = useOptionOf("loan");
  return (
    <Choice
      label="Interest earned"
      value={option.inputs.plan.earning ?? "actuarial"}
      choices={[
        ["actuarial", "on what is owed"],
        ["sumOfDigits", "by the sum of the digits"],
      ]}
      onChange={earning => act({ type: "plan", change: now => ({ ...now, earning }) })}
    />
  );
}

/** The unit of the distance that may be driven where the vehicle is given back. */
function ReturnUnit() {
  const { option, act } = useOptionOf("loan");
  const returnable = option.inputs.plan.balloon?.returnable;
  const distance = returnable?.distance;
  if (!distance) return <p className="text-faint text-sm">any distance, until one is typed</p>;
  return (
    <Choice
      label="Unit of distance"
      value={distance.unit}
      choices={[...new Set(["mi", "km", distance.unit])].map(unit => [unit, unit] as const)}
      onChange={unit =>
        act({
          type: "plan",
          change: plan =>
            plan.balloon
              ? {
                  ...plan,
                  balloon: {
                    ...plan.balloon,
                    returnable: { ...returnable, distance: { ...distance, unit } },
                  },
                }
              : plan,
        })
      }
    />
  );
}
