import { Target } from "lucide-react";
import { lazy, Suspense } from "react";
import type { LoanFile } from "@/exchange/kinds/loan";
import { FindOthers } from "../../answer/FindOthers";
import { MakeIt } from "../../answer/MakeIt";
import { type LoanFind, NAMES_OF_FOUND, workedFor } from "../../fields";
import { useOptionOf } from "../../option/option-context";
import { WorkingButton } from "../../parts/WorkingButton";
import { WorkingsHere } from "../../parts/WorkingsHere";

const FOUND_SIGN = <Target size={17} aria-hidden="true" className="text-accent-content" />;

/** What the screen finds; a cash down in percent is found as one. */
const FINDS = (Object.keys(NAMES_OF_FOUND) as LoanFind[]).filter(figure => figure !== "downPercent");

// A deal begins with finding its payment: the screen starts without the code for more.
const GivenFigure = lazy(() =>
  import("./GivenFigure").then(({ GivenFigure: given }) => ({ default: given })),
);

/** Which figure is being found, from what, and the way to find another. */
export function LoanFindBar() {
  const { option, act } = useOptionOf("loan");
  const { find, from, structure } = option.inputs;
  const name = foundName(find, structure);
  const finds = findsOf(option.inputs);
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2" data-testid="find-bar">
      <WorkingsHere>
        <div className="flex items-center gap-2">
          {FOUND_SIGN}
          Finding the <span className="found px-1.5">{name}</span>
          <WorkingButton figure={workedFor(find)} name={name} />
        </div>
        {find === "payment" && !from ? (
          <MakeIt>{onFind => <FindOthers finds={finds} onFind={onFind} />}</MakeIt>
        ) : (
          <Suspense fallback={null}>
            <GivenFigure>
              <FindOthers key={find} finds={finds} onFind={figure => act({ type: "find", figure })} />
            </GivenFigure>
          </Suspense>
        )}
      </WorkingsHere>
    </div>
  );
}

/** A personal loan has no price, but an amount that is asked for. */
function foundName(figure: LoanFile["find"], { purpose }: LoanFile["structure"]): string {
  return figure === "price" && purpose !== undefined ? "amount" : NAMES_OF_FOUND[figure];
}

/** The figures that can be found instead, by the words of their buttons. */
function findsOf({ find, from, structure, plan }: LoanFile): (readonly [LoanFind, string])[] {
  const now = NAMES_OF_FOUND[find];
  return FINDS.filter(
    figure =>
      (NAMES_OF_FOUND[figure] !== now || from) &&
      (figure !== "allowance" || structure.purpose === undefined) &&
      (figure !== "lump" || plan.extra?.once?.length),
  ).map(figure => [figure, foundName(figure, structure)]);
}
