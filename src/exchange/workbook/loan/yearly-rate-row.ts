import { costOfCredit, type LoanQuote, periodsPerYear } from "@/core";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import type { PlanCells } from "./plan-rows";
import { UNCHANGED } from "./structure-rows";
import { columnOf, roomOf, START } from "./table-sheet";

/** Newton's steps from the plan's own rate: they double what is right of it at each. */
const STEPS = 8;

type RateOf = {
  quote: LoanQuote;
  rows: SheetRows;
  plan: PlanCells;
  table: string;
  /** A figure that is there while there is a payment. */
  there: (formula: string) => string;
};

/**
 * The APR: an inner rate where payments are one period apart, with one odd first period by Newton's steps; a value where the
 * payments are.
 */
export function yearlyRateRow({ quote, rows, plan, table, there }: RateOf): void {
  const cost = quote.keptCost ? ({ ok: true, value: quote.keptCost } as const) : costOfCredit(quote);
  if (!cost.ok) return;
  const { frequency } = quote.filled.plan;
  const named = rows.named;
  const apr = Number(cost.value.apr.toFixed(4));
  const row = { label: "APR, percent", name: "APR", format: "rate" } as const;
  if (plan.isKept) {
    rows.figure({ ...row, remark: "a value" }, `IF(${named(UNCHANGED)},${apr},"")`, apr, "kept");
    return;
  }
  const all = columnOf(table, "flow", roomOf(quote), START);
  const times = periodsPerYear(frequency) * 100;
  const inner = `IRR(${all},${named("Period_rate")}+0.0001)*${times}`;
  const rate = plan.isInAdvance
    ? inner
    : `IF(${named("First_length")}=${named("First_of")},${inner},${bySteps(quote, rows, table)}*${times})`;
  rows.figure({ ...row, remark: "what the credit costs as a yearly rate" }, there(`ROUND(${rate},8)`), apr);
}

/** Writes the steps, and gives the name of the last. */
function bySteps(quote: LoanQuote, rows: SheetRows, table: string): string {
  const room = roomOf(quote);
  const named = rows.named;
  const start = `INDEX(${columnOf(table, "flow", room, START)},1)`;
  const [flow, number] = [columnOf(table, "flow", room), columnOf(table, "row", room)];
  const share = `${named("First_length")}/${named("First_of")}`;
  rows.hidden("Whole_first", `INT(${share})`);
  rows.hidden("Odd_first", `${share}-${named("Whole_first")}`);
  rows.hidden("Rate_0", `${named("Period_rate")}+0.00001`);
  const [whole, part] = [named("Whole_first"), named("Odd_first")];
  for (let step = 0; step < STEPS; step++) {
    const rate = named(`Rate_${step}`);
    const paid = `SUMPRODUCT(${flow},(1+${rate})^(-(${whole}-1+${number})))`;
    const slope = `SUMPRODUCT(${flow},${whole}-1+${number},(1+${rate})^(-(${whole}+${number})))`;
    const growth = `(1+${part}*${rate})`;
    rows.hidden(
      `Rate_${step + 1}`,
      `${rate}+(${paid}/${growth}+${start})/(${slope}/${growth}+${paid}*${part}/${growth}^2)`,
    );
  }
  return named(`Rate_${STEPS}`);
}
