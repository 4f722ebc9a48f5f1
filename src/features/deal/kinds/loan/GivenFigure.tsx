import type { ReactNode } from "react";
import { useOptionOf } from "../../option/option-context";
import { ChoiceInWords } from "../../parts/ChoiceInWords";
import { FieldError, FigureField } from "../../parts/FigureField";
import { isKnownFor, knownOf, LOAN_KNOWN_NAMES, type LoanKnownName } from "./fields/loan-known";

/** While another figure than the payment is found: what it is found from. */
export function GivenFigure({ children }: { children: ReactNode }) {
  const { option, act } = useOptionOf("loan");
  const { find } = option.inputs;
  const known = knownOf(option.inputs);
  const field = fieldFor(known);
  const isPersonal = option.inputs.structure.purpose !== undefined;
  const names = LOAN_KNOWN_NAMES.filter(
    ([figure]) => figure === known || (isKnownFor(find, figure) && (figure !== "cashReceived" || isPersonal)),
  );
  return (
    <>
      <span className="text-faint">for a</span>
      <ChoiceInWords
        label="Found from which figure"
        value={known}
        choices={names}
        onChange={figure => act({ type: "known", figure })}
      />
      {known !== "endDate" && <span className="text-faint">of</span>}
      <span className="w-32" data-found-from="">
        <FigureField field={field} hideLabel errorElsewhere />
      </span>
      {children}
      <div className="basis-full empty:hidden">
        <FieldError field={field} />
      </div>
    </>
  );
}

function fieldFor(known: LoanKnownName) {
  switch (known) {
    case "payment":
      return "payment";
    case "endDate":
    case "payments":
      return `known/${known}` as const;
    default:
      return "known/amount";
  }
}
