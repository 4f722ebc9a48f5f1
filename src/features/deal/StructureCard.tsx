import { memo } from "react";
import type { TallyLine } from "@/core";
import { amountText } from "@/features/figures/format";
import { useDesk } from "./desk-context";
import { shownTally, tallied } from "./desk-state";
import { FieldError, FigureField } from "./FigureField";
import { isFoundIn } from "./figure-names";
import type { FieldName } from "./read-field";
import { WorkingButton } from "./WorkingButton";

/** The tally from the price to the amount financed, each line with its sign and the subtotal so far. */
export const StructureCard = memo(function StructureCard() {
  const { state } = useDesk();
  const { inputs } = state.document;
  const { lines, shortfall, stale } = shownTally(state);
  const amountFinanced = lines.at(-1)?.running;
  const faded = stale ? "stale" : "";
  const money = (minor: number) => amountText(minor, inputs.currency);
  const running = (figure: TallyLine["figure"]) => {
    const line = lines.find(each => each.figure === figure);
    return <span className={`text-right text-faint ${faded}`}>{line ? money(line.running) : ""}</span>;
  };

  return (
    <section aria-labelledby="structure-title" className="p-4 pb-3">
      <div className="flex items-baseline justify-between">
        <h2 id="structure-title" className="font-semibold text-lg">
          Structure
        </h2>
        <span className="text-faint text-sm">running total, {inputs.currency}</span>
      </div>
      <div className="mt-1.5 grid grid-cols-[1fr_0.75rem_7.25rem_5.75rem] items-center gap-x-2 gap-y-1.5">
        <Line name="Price" sign="" />
        <FigureField field="price" label="Price" hideLabel findable="price" errorElsewhere />
        {running("price")}
        <LineError field="price" />

        <Line name="Trade-in allowance" sign="−" />
        <FigureField field="allowance" label="Trade-in allowance" hideLabel errorElsewhere />
        {running("allowance")}
        <LineError field="allowance" />

        <Line
          name="Owed on trade-in"
          sign="+"
          remark={shortfall > 0 ? `${money(shortfall)} over its worth: adds to the loan` : undefined}
        />
        <FigureField field="owed" label="Owed on trade-in" hideLabel errorElsewhere />
        {running("owed")}
        <LineError field="owed" />

        <Line name="Cash down" sign="−" remark={<CashDownRemark />} />
        <FigureField
          field="down"
          label="Cash down"
          hideLabel
          findable="down"
          unit={isPercent(inputs) ? "%" : undefined}
          errorElsewhere
        />
        {running("down")}
        <LineError field="down" />
      </div>
      <div className="mt-3 flex items-center justify-between border-base-content border-t-2 pt-2">
        <div className="flex items-center gap-1">
          <h3 className="font-sans font-semibold">Amount financed</h3>
          <WorkingButton figure="amountFinanced" name="amount financed" />
        </div>
        <output className={`font-semibold text-xl ${faded}`} data-testid="amount-financed">
          {amountFinanced === undefined ? "–" : money(amountFinanced)}
        </output>
      </div>
    </section>
  );
});

type Inputs = ReturnType<typeof useDesk>["state"]["document"]["inputs"];

function isPercent({ structure, find }: Inputs): boolean {
  return !isFoundIn("down", find) && structure.down !== undefined && "percent" in structure.down;
}

function Line({ name, sign, remark }: { name: string; sign: string; remark?: React.ReactNode }) {
  return (
    <>
      <span className="leading-tight">
        {name}
        {remark && <span className="block text-faint text-sm leading-tight">{remark}</span>}
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

/** The same cash down said the other way, and the switch between the two. */
function CashDownRemark() {
  const { state, dispatch } = useDesk();
  const { inputs } = state.document;
  const { price, down } = tallied(shownTally(state));
  const percent = isPercent(inputs);
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
        onClick={() => dispatch({ type: "downKind", kind: percent ? "amount" : "percent" })}
      >
        {percent ? "as an amount" : "as a percent"}
      </button>
    </>
  );
}
