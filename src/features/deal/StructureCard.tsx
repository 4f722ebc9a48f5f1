import { Fragment, memo, type ReactNode } from "react";
import { STRUCTURE_LINES, type StructureFigure, type TallyLine } from "@/core";
import { amountText } from "@/exchange/text";
import { useDesk } from "./desk/desk-context";
import { FieldError, FigureField } from "./FigureField";
import { type FieldName, fieldOf, isFoundIn, isPercentDown } from "./fields";
import { amountOf, shownTally } from "./option";
import { WorkingButton } from "./WorkingButton";

/** What is said below the name of a line. */
const REMARKS: { [Figure in StructureFigure]?: ReactNode } = {
  owed: <ShortfallRemark />,
  down: <CashDownRemark />,
};

/** The tally from the price to the amount financed, each line with its sign and the subtotal so far. */
export const StructureCard = memo(function StructureCard() {
  const { option } = useDesk();
  const { currency } = option.inputs;
  const { lines, stale, prepaidCharge } = shownTally(option);
  const loanAmount = lines.at(-1)?.running;
  const faded = stale ? "stale" : "";
  return (
    <section aria-labelledby="structure-title" className="p-4 pb-3">
      <div className="flex items-baseline justify-between">
        <h2 id="structure-title" className="font-semibold text-lg">
          Structure
        </h2>
        <span className="text-faint text-sm">running total, {currency}</span>
      </div>
      <div className="mt-1.5 grid grid-cols-[1fr_0.75rem_7.25rem_5.75rem] items-center gap-x-2 gap-y-1.5">
        {STRUCTURE_LINES.map(({ figure, sign }, index) => (
          <Fragment key={figure}>
            <Line figure={figure} sign={sign < 0 ? "−" : index > 0 ? "+" : ""} />
            <FigureField field={figure} hideLabel errorElsewhere />
            <span className={`text-right text-faint ${faded}`}>{runningText(lines, figure, currency)}</span>
            <LineError field={figure} />
          </Fragment>
        ))}
      </div>
      <div className="mt-3 border-base-content border-t-2 pt-2">
        {prepaidCharge > 0 && (
          <ChargeAtSigning
            charge={amountText(prepaidCharge, currency)}
            loanAmount={loanAmount === undefined ? "–" : amountText(loanAmount, currency)}
            faded={faded}
          />
        )}
        <div className="flex items-center justify-between">
          <div className="flex items-center gap-1">
            <h3 className="font-sans font-semibold">Amount financed</h3>
            <WorkingButton figure="amountFinanced" name="amount financed" />
          </div>
          <output className={`font-semibold text-xl ${faded}`} data-testid="amount-financed">
            {loanAmount === undefined ? "–" : amountText(loanAmount - prepaidCharge, currency)}
          </output>
        </div>
      </div>
    </section>
  );
});

/** What the note says, and the finance charge paid at signing that is taken off it: without one, one line says it all. */
function ChargeAtSigning(props: { charge: string; loanAmount: string; faded: string }) {
  const { charge, loanAmount, faded } = props;
  return (
    <dl className="mb-1 grid grid-cols-[1fr_auto] gap-y-0.5">
      <dt className="flex items-center gap-1">
        Loan amount
        <WorkingButton figure="loanAmount" name="loan amount" />
      </dt>
      <dd className={`text-right ${faded}`}>{loanAmount}</dd>
      <dt>Finance charge paid at signing</dt>
      <dd className={`text-right ${faded}`}>− {charge}</dd>
    </dl>
  );
}

function runningText(lines: TallyLine[], figure: StructureFigure, currency: string): string {
  const line = lines.find(each => each.figure === figure);
  return line ? amountText(line.running, currency) : "";
}

function Line({ figure, sign }: { figure: StructureFigure; sign: string }) {
  const remark = REMARKS[figure];
  return (
    <>
      <span className="leading-tight">
        {fieldOf(figure).label}
        {remark && <span className="block text-faint text-sm leading-tight empty:hidden">{remark}</span>}
      </span>
      <span className="text-center text-faint">{sign}</span>
    </>
  );
}

/** Below its line, over the whole width of the tally. */
function LineError({ field }: { field: FieldName }) {
  return (
    <div className="col-span-4 empty:hidden">
      <FieldError field={field} />
    </div>
  );
}

/** By how much more is owed on the trade-in than it is worth. */
function ShortfallRemark() {
  const { option } = useDesk();
  const { shortfall } = shownTally(option);
  return shortfall > 0
    ? `${amountText(shortfall, option.inputs.currency)} over its worth: adds to the loan`
    : null;
}

/** The same cash down said the other way, and the switch between the two. */
function CashDownRemark() {
  const { option, act } = useDesk();
  const { inputs } = option;
  const tally = shownTally(option);
  const [price, down] = [amountOf(tally, "price"), amountOf(tally, "down")];
  const percent = isPercentDown(inputs);
  if (price === undefined || down === undefined) return null;
  const share = price > 0 ? ((down / price) * 100).toFixed(1) : "0.0";
  const said = percent ? amountText(down, inputs.currency) : `${share} % of the price`;
  if (isFoundIn("down", inputs.find)) return said;
  return (
    <>
      {said} ·{" "}
      <button
        type="button"
        className="cursor-pointer text-primary underline"
        onClick={() => act({ type: "downKind", kind: percent ? "amount" : "percent" })}
      >
        {percent ? "as an amount" : "as a percent"}
      </button>
    </>
  );
}
