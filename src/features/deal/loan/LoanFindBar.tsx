import { Target } from "lucide-react";
import { lazy, Suspense } from "react";
import type { DealFile } from "@/exchange/deal-file";
import { MakeIt } from "../answer/MakeIt";
import { FOUND_NAMES, type LoanFind } from "../fields";
import { useLoan } from "../option/option-context";
import { FieldError, FigureField } from "../parts/FigureField";
import { WorkingButton } from "../parts/WorkingButton";

const DESK_FINDS: readonly LoanFind[] = ["payment", "price", "down"];

// Few deals have it: the screen starts without the code for it.
const GivenResult = lazy(() =>
  import("./GivenResult").then(({ GivenResult: given }) => ({ default: given })),
);

/** Which figure is being found, from what, and the way to find another. */
export function LoanFindBar() {
  const { find, from, structure } = useLoan().option.inputs;
  const { working } = FOUND_NAMES[find];
  const name = foundName(find, structure);
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-2" data-testid="find-bar">
      <div className="flex items-center gap-2">
        <Target size={17} aria-hidden="true" className="text-accent-content" />
        Finding the <span className="found px-1.5">{name}</span>
        <WorkingButton figure={working} name={name} />
      </div>
      {from ? (
        <Suspense fallback={null}>
          <GivenResult from={from} />
          <FindOthers />
        </Suspense>
      ) : find === "payment" ? (
        <AskForPayment />
      ) : (
        <GivenPayment />
      )}
    </div>
  );
}

/** A personal loan has no price, but an amount that is asked for. */
function foundName(figure: DealFile["find"], { purpose }: DealFile["structure"]): string {
  return figure === "price" && purpose !== undefined ? "amount" : FOUND_NAMES[figure].name;
}

/** The other figures that the screen can find. */
function FindOthers() {
  const { option, act } = useLoan();
  return DESK_FINDS.filter(figure => figure !== option.inputs.find).map(figure => (
    <button key={figure} type="button" className="btn btn-sm" onClick={() => act({ type: "find", figure })}>
      Find {foundName(figure, option.inputs.structure)}
    </button>
  ));
}

/** While the payment is found: say what it should be, then what has to move. */
function AskForPayment() {
  const { structure } = useLoan().option.inputs;
  return (
    <MakeIt field="payment" first="price">
      {find => (
        <>
          <button type="submit" className="btn btn-sm">
            Find {foundName("price", structure)}
          </button>
          <button type="button" className="btn btn-sm" onClick={() => find("down")}>
            Find cash down
          </button>
        </>
      )}
    </MakeIt>
  );
}

/** While the price or the cash down is found: the payment it is found from. */
function GivenPayment() {
  const { option } = useLoan();
  return (
    <>
      <span className="text-faint">for a payment of</span>
      <span className="w-28">
        <FigureField field="payment" hideLabel errorElsewhere />
      </span>
      <FindOthers />
      {option.errors.payment && (
        <div className="basis-full">
          <FieldError field="payment" />
        </div>
      )}
    </>
  );
}
