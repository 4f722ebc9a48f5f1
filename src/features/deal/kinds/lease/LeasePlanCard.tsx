import { memo } from "react";
import { type LeaseQuote, periodsPerYear, type WorkedLeaseFigure } from "@/core";
import { RECKONING_WORDS, RESIDUAL_DUE_WORDS } from "@/exchange/kinds/lease";
import { reckonedBy } from "@/exchange/kinds/lease/reckoning";
import { amountText, factorText, rateText } from "@/exchange/text";
import { shownQuote } from "../../option";
import { useNotation, useOptionOf } from "../../option/option-context";
import { Changeable } from "../../parts/Changeable";
import { Choice } from "../../parts/choices";
import { FigureField } from "../../parts/FigureField";
import { WorkingButton } from "../../parts/WorkingButton";
import { WorkingsHere } from "../../parts/WorkingsHere";
import { FREQUENCY_CHOICES } from "../../plan/choices-of-plan";
import { asKind, KIND_ID, KINDS_OF_A_VEHICLE, withFrequency } from "../../plan/kinds";
import { RoundingChoice } from "../../plan/RoundingChoice";
import { turn } from "../../plan/turn";
import { LeaseParts } from "./LeaseParts";
import { ResidualKind } from "./ResidualKind";

const RECKONINGS = Object.entries(RECKONING_WORDS) as [keyof typeof RECKONING_WORDS, string][];
const RESIDUAL_DUE = Object.entries(RESIDUAL_DUE_WORDS) as [keyof typeof RESIDUAL_DUE_WORDS, string][];

/** How the vehicle is leased: what every lease has, then the parts that this one has, and the way to add others. */
export const LeasePlanCard = memo(function LeasePlanCard() {
  const { option, act } = useOptionOf("lease");
  const { plan } = option.inputs;
  const quote = shownQuote(option);
  return (
    <section aria-labelledby="plan-title" className="border-base-300 border-t px-4 py-2">
      <h2 id="plan-title" className="font-semibold text-lg">
        Plan: lease {RECKONING_WORDS[plan.reckoning]}
      </h2>
      <Changeable>
        <div className="mt-0.5 grid grid-cols-2 items-start gap-x-3 gap-y-1">
          <Choice
            id={KIND_ID}
            label="Kind"
            value={"lease" as const}
            choices={KINDS_OF_A_VEHICLE}
            onChange={kind => {
              if (kind === "lease") return;
              turn(act, "loan");
              act({
                type: "plan",
                change: now => asKind(now, kind, quote?.firstDate ?? null),
                forget: "datedPayments",
              });
            }}
          />
          <Choice
            label="Reckoned"
            value={plan.reckoning}
            choices={RECKONINGS}
            onChange={reckoning => act({ type: "lease", change: now => reckonedBy(now, reckoning) })}
          />
          <FigureField field={plan.reckoning === "moneyFactor" ? "lease/moneyFactor" : "lease/yearlyRate"} />
          <div>
            <FigureField field="lease/residual" />
            <ResidualKind />
          </div>
          <FigureField field="lease/payments" />
          <Choice
            label="How often"
            value={plan.frequency}
            choices={FREQUENCY_CHOICES}
            onChange={frequency => act({ type: "lease", change: now => withFrequency(now, frequency) })}
          />
          <div>
            <FigureField field="lease/inAdvance" />
            <InAdvanceRemark />
          </div>
          <FigureField field="lease/signed" />
          <Choice
            label="Residual due"
            value={plan.residualDue ?? "end"}
            choices={RESIDUAL_DUE}
            onChange={residualDue => act({ type: "lease", change: now => ({ ...now, residualDue }) })}
          />
          {plan.rounding !== undefined && plan.rounding !== "nearest" && <RoundingChoice />}
        </div>
        <Rates />
        <LeaseParts />
      </Changeable>
    </section>
  );
});

/** Money factor, yearly rate and implicit yearly rate together; the costs say what has to be said of percents. */
function Rates() {
  const { option } = useOptionOf("lease");
  const { say } = useNotation();
  const quote = shownQuote(option);
  if (!quote) return null;
  const rates: [text: string, figure?: WorkedLeaseFigure, name?: string][] = [
    [`money factor ${factorText(quote.moneyFactor)}`],
    [`yearly rate ${rateText(quote.yearlyRate)} % *`, "yearlyRate", "yearly rate"],
    [
      `implicit yearly rate ${quote.implicitYearlyRate.toFixed(4)} % *`,
      "implicitYearlyRate",
      "implicit yearly rate",
    ],
    [`residual ${residualText(quote)}`, "residual", "residual"],
  ];
  return (
    <WorkingsHere>
      <ul className="mt-1 flex flex-wrap items-center gap-x-3 text-faint text-sm">
        {rates.map(([text, figure, name = ""]) => (
          <li key={name} className="flex items-center gap-0.5">
            {say(text)}
            {figure && <WorkingButton figure={figure} name={name} />}
          </li>
        ))}
      </ul>
    </WorkingsHere>
  );
}

/** A residual as an amount and as a share of the agreed price. */
function residualText({ residual, price, deal }: LeaseQuote): string {
  const share = price > 0 ? ` = ${((100 * residual) / price).toFixed(2)} % of the agreed price` : "";
  return `${amountText(residual, deal.currency)}${share}`;
}

/** Which payments are made at signing. */
function InAdvanceRemark() {
  const { option } = useOptionOf("lease");
  const { inAdvance = 0, payments, frequency } = option.inputs.plan;
  const words = () => {
    if (inAdvance === 0)
      return `the first after one ${periodsPerYear(frequency) === 12 ? "month" : "period"}`;
    if (inAdvance === payments) return "all of them, at once";
    if (inAdvance === 1) return "the first";
    return inAdvance === 2 ? "the first and the last" : `the first and the last ${inAdvance - 1}`;
  };
  return <p className="mt-0.5 text-faint text-sm leading-tight">{words()}</p>;
}
