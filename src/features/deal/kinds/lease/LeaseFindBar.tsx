import { Target } from "lucide-react";
import { LEASE_NAMES, type LeaseFoundFigure } from "@/core";
import { FindOthers } from "../../answer/FindOthers";
import { MakeIt } from "../../answer/MakeIt";
import { useOptionOf } from "../../option/option-context";
import { ChoiceInWords } from "../../parts/ChoiceInWords";
import { FieldError, FigureField } from "../../parts/FigureField";
import { WorkingButton } from "../../parts/WorkingButton";
import { WorkingsHere } from "../../parts/WorkingsHere";
import { knownOf, LEASE_KNOWN_NAMES } from "./fields/lease-known";

const FOUND_SIGN = <Target size={17} aria-hidden="true" className="text-accent-content" />;

/** The figure being found, as the screen names it. */
const FOUND: Record<LeaseFoundFigure, string> = {
  ...LEASE_NAMES,
  residualPercent: "residual",
  payments: "term",
};

/** What the screen finds, by the word of its button. */
const FINDS: readonly (readonly [LeaseFoundFigure, string])[] = [
  ["payment", "payment"],
  ["residual", "residual"],
  ["price", "price"],
  ["down", "cash down"],
  ["payments", "term"],
  ["moneyFactor", "rate"],
  ["allowance", "trade-in"],
];

/** Which figure is being found, from what, and the way to find another. */
export function LeaseFindBar() {
  const { find } = useOptionOf("lease").option.inputs;
  const name = FOUND[find];
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2" data-testid="find-bar">
      <WorkingsHere>
        <div className="flex items-center gap-2">
          {FOUND_SIGN}
          Finding the <span className="found px-1.5">{name}</span>
          <WorkingButton figure="found" name={name} />
        </div>
        {find === "payment" ? (
          <MakeIt>{onFind => <FindOthers finds={findsBeside(find)} onFind={onFind} />}</MakeIt>
        ) : (
          <GivenFigure />
        )}
      </WorkingsHere>
    </div>
  );
}

/** The figures that can be found instead. */
const findsBeside = (find: LeaseFoundFigure) =>
  FINDS.filter(([figure]) => FOUND[figure] !== FOUND[find] && !isSameRate(figure, find));

const isSameRate = (figure: LeaseFoundFigure, find: LeaseFoundFigure) =>
  figure === "moneyFactor" && find === "yearlyRate";

/** While another figure is found: what it is found from. */
function GivenFigure() {
  const { option, act } = useOptionOf("lease");
  const { find } = option.inputs;
  return (
    <>
      <span className="text-faint">for a</span>
      <ChoiceInWords
        label="Found from which figure"
        value={knownOf(option.inputs)}
        choices={LEASE_KNOWN_NAMES}
        onChange={figure => act({ type: "known", figure })}
      />
      <span className="text-faint">of</span>
      <span className="w-28" data-found-from="">
        <FigureField field="lease/known" hideLabel errorElsewhere />
      </span>
      <FindOthers key={find} finds={findsBeside(find)} onFind={figure => act({ type: "find", figure })} />
      <div className="basis-full empty:hidden">
        <FieldError field="lease/known" />
      </div>
    </>
  );
}
