import type { StructureLine } from "@/core";
import { amountText } from "@/features/figures/format";
import { useDesk } from "./desk-context";
import { isStale, shownQuote } from "./desk-state";
import { FigureField } from "./FigureField";
import { WorkingButton } from "./WorkingButton";

/** The tally from the price to the amount financed, each line with its sign and the subtotal so far. */
export function StructureCard() {
  const { state } = useDesk();
  const { inputs } = state.document;
  const quote = shownQuote(state);
  const faded = isStale(state) ? "stale" : "";
  const money = (minor: number) => amountText(minor, inputs.currency);
  const running = (figure: StructureLine["figure"]) => {
    const line = quote?.lines.find(each => each.figure === figure);
    return <span className={`text-right text-faint ${faded}`}>{line ? money(line.running) : ""}</span>;
  };
  const over = quote ? quote.deal.structure.tradeIn.owed - quote.deal.structure.tradeIn.allowance : 0;

  return (
    <section aria-labelledby="structure-title" className="p-4 pb-3">
      <div className="flex items-baseline justify-between">
        <h2 id="structure-title" className="font-semibold text-lg">
          Structure
        </h2>
        <span className="text-faint text-sm">running total, {inputs.currency}</span>
      </div>
      <div className="mt-1.5 grid grid-cols-[1fr_1rem_7.5rem_5.75rem] items-center gap-x-2 gap-y-1.5">
        <Line name="Price" sign="" />
        <FigureField field="price" label="Price" hideLabel findable="price" />
        {running("price")}

        <Line name="Trade-in allowance" sign="−" />
        <FigureField field="allowance" label="Trade-in allowance" hideLabel />
        {running("allowance")}

        <Line
          name="Owed on the trade-in"
          sign="+"
          remark={over > 0 ? `${money(over)} more than it is worth: added to the loan` : undefined}
        />
        <FigureField field="owed" label="Owed on the trade-in" hideLabel />
        {running("owed")}

        <Line name="Cash down" sign="−" remark={<CashDownRemark />} />
        <FigureField
          field="down"
          label="Cash down"
          hideLabel
          findable="down"
          unit={isPercent(inputs) ? "%" : undefined}
        />
        {running("down")}
      </div>
      <div className="mt-3 flex items-center justify-between border-base-content border-t-2 pt-2">
        <span className="flex items-center gap-1 font-semibold">
          Amount financed
          <WorkingButton figure="amountFinanced" name="amount financed" />
        </span>
        <output className={`font-semibold text-xl ${faded}`} data-testid="amount-financed">
          {quote ? money(quote.amountFinanced) : "–"}
        </output>
      </div>
    </section>
  );
}

type Inputs = ReturnType<typeof useDesk>["state"]["document"]["inputs"];

function isPercent({ structure, find }: Inputs): boolean {
  return find !== "down" && structure.down !== undefined && "percent" in structure.down;
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

/** The same cash down said the other way, and the switch between the two. */
function CashDownRemark() {
  const { state, dispatch } = useDesk();
  const { inputs } = state.document;
  const quote = shownQuote(state);
  const percent = isPercent(inputs);
  if (!quote) return null;
  const share = quote.price > 0 ? ((quote.down / quote.price) * 100).toFixed(1) : "0.0";
  const said = percent ? amountText(quote.down, inputs.currency) : `${share} % of the price`;
  if (inputs.find === "down") return said;
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
