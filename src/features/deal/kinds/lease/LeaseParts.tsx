import { useState } from "react";
import { excessDistance, wholeText } from "@/core";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import { withOptional } from "@/exchange/members";
import { amountText, typedAmountText } from "@/exchange/text";
import { focusSoon } from "@/features/focus/focus-soon";
import { shownQuote } from "../../option";
import { useNotation, useOptionOf } from "../../option/option-context";
import { ChoiceInWords } from "../../parts/ChoiceInWords";
import { Choice } from "../../parts/choices";
import { FigureField } from "../../parts/FigureField";
import { partSelector } from "../../parts/part-selector";
import { TakeOut } from "../../parts/TakeOut";
import { RoundingChoice } from "../../plan/RoundingChoice";
import { LEASE_PARTS, type LeasePart } from "./lease-parts";

/**
 * The parts that a lease can have: in a few words; open, each with its figures and the way to remove, and the way to
 * add others.
 */
export function LeaseParts() {
  const { option, act } = useOptionOf("lease");
  const { say } = useNotation();
  const [isOpen, setOpen] = useState(false);
  const { plan, currency } = option.inputs;
  const parts = LEASE_PARTS.filter(({ has }) => has(plan));
  const addable = LEASE_PARTS.filter(({ has }) => !has(plan));
  const words = parts.map(part => part.words(plan, typed => typedAmountText(typed, currency)));
  return (
    <details className="mt-1.5 text-sm" onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer font-semibold text-primary">
        {words.length > 0
          ? say(words.join(" · "))
          : "More: fees at the end, security deposit, distance, rounding"}
      </summary>
      {isOpen && (
        <>
          <div className="mt-1.5 grid grid-cols-2 items-start gap-x-3 gap-y-1.5 text-base empty:hidden">
            {parts.map(part => (
              <div key={part.name} data-part={part.name} className="contents">
                <PartOf part={part} />
              </div>
            ))}
            {(plan.rounding ?? "nearest") === "nearest" && <RoundingChoice />}
          </div>
          <div className="mt-1 flex flex-wrap gap-x-3 gap-y-0.5">
            {addable.map(({ name, add }) => (
              <button
                key={name}
                type="button"
                className="cursor-pointer font-semibold text-primary"
                onClick={() => {
                  act({ type: "lease", change: add });
                  focusSoon(partSelector(name));
                }}
              >
                + {name}
              </button>
            ))}
          </div>
        </>
      )}
    </details>
  );
}

function PartOf({ part }: { part: LeasePart }) {
  const { option, act } = useOptionOf("lease");
  const { plan } = option.inputs;
  const [first, ...others] = part.fields;
  return (
    <>
      <div>
        {first && <FigureField field={first} />}
        {plan.securityDeposit && first === "lease/securityDeposit" && (
          <SecurityKind deposit={plan.securityDeposit} />
        )}
        {first === "lease/earlyFee" && <SurplusOf surplus={plan.surplus ?? "lessor"} />}
        <TakeOut name={part.name} onClick={() => act({ type: "lease", change: part.takeOut })} />
      </div>
      {others.map(field => (
        <FigureField key={field} field={field} />
      ))}
      {plan.distance && first === "lease/distance" && <UnitOfDistance distance={plan.distance} />}
    </>
  );
}

type Surplus = NonNullable<LeasePlanFile["surplus"]>;

/** Whose it is what the vehicle brings beyond what is owed, where the lease ends early. */
function SurplusOf({ surplus }: { surplus: Surplus }) {
  const { act } = useOptionOf("lease");
  return (
    <p className="text-faint text-sm leading-tight">
      what it brings beyond what is owed is{" "}
      <ChoiceInWords
        label="Whose it is what the vehicle brings beyond what is owed"
        value={surplus}
        choices={[
          ["lessor", "the lessor’s"],
          ["customer", "the customer’s"],
        ]}
        onChange={whose =>
          act({
            type: "lease",
            change: plan => withOptional(plan, "surplus", whose === "lessor" ? undefined : whose),
          })
        }
      />
    </p>
  );
}

type Deposit = NonNullable<LeasePlanFile["securityDeposit"]>;

/** Whether the deposit is an amount, or the payment rounded up to a step. */
function SecurityKind({ deposit }: { deposit: Deposit }) {
  const { option, act } = useOptionOf("lease");
  const { say } = useNotation();
  const quote = shownQuote(option);
  const isStep = "roundedUpTo" in deposit;
  const put = (securityDeposit: Deposit) =>
    act({ type: "lease", change: plan => ({ ...plan, securityDeposit }) });
  return (
    <p className="text-faint text-sm leading-tight">
      {isStep && quote && `${say(amountText(quote.securityDeposit, option.inputs.currency))} · `}
      <ChoiceInWords
        label="How the security deposit is given"
        value={isStep ? "step" : "amount"}
        choices={[
          ["step", "the payment, rounded up to this"],
          ["amount", "an amount"],
        ]}
        onChange={kind => put(kind === "step" ? { roundedUpTo: "50" } : { amount: "0" })}
      />
    </p>
  );
}

type Distance = NonNullable<LeasePlanFile["distance"]>;

/** The unit that is driven in, and what is expected to be driven beyond costs. */
function UnitOfDistance({ distance }: { distance: Distance }) {
  const { option, act } = useOptionOf("lease");
  const { say } = useNotation();
  const quote = shownQuote(option);
  const excess = quote ? excessDistance(quote) : null;
  const beyond = Math.max((distance.expected ?? 0) - distance.perYear, 0);
  return (
    <div>
      <Choice
        label="Unit of distance"
        value={distance.unit}
        choices={unitsWith(distance.unit)}
        onChange={unit =>
          act({ type: "lease", change: plan => ({ ...plan, distance: { ...distance, unit } }) })
        }
      />
      {excess?.ok && (
        <p className="mt-0.5 text-faint text-sm leading-tight" data-testid="excess-distance">
          {beyond === 0
            ? "nothing beyond it expected"
            : `${say(wholeText(beyond))} ${distance.unit} a year beyond it: ${say(amountText(excess.value, option.inputs.currency))} at the end`}
        </p>
      )}
    </div>
  );
}

/** Miles and kilometres, and whatever else a file has. */
const unitsWith = (unit: string): [string, string][] =>
  [...new Set(["mi", "km", unit])].map(each => [each, each]);
