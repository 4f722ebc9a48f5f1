import type { LoanQuote } from "@/core";
import type { SentenceWriter } from "../../kinds/kind/segment";
import { loanLine } from "../../kinds/loan/words/line";
import { CAN_CHANGE, sheetRows } from "../../workbook-parts/sheet-rows";
import type { Sheet, SheetNames } from "../../workbook-parts/workbook";
import { answerRows } from "./answer-rows";
import { planRows } from "./plan-rows";
import { structureRows } from "./structure-rows";
import { tableSheet } from "./table-sheet";

/**
 * The sheets of a loan: what was typed and what it comes to, and its table; all by formulas from the cells that were typed.
 *
 * @param quote an answered loan
 * @param about whose it is, in lines that stand on top
 */
export function loanSheets(
  quote: LoanQuote,
  { deal, table, suffix }: SheetNames,
  about: readonly string[],
  write: SentenceWriter,
): Sheet[] {
  const scale = 10 ** quote.decimals;
  const rows = sheetRows(deal, suffix);
  rows.head(about, `As it was made: ${loanLine(quote, write)}`, CAN_CHANGE);
  rows.skip();
  rows.text("Structure", "heading");
  const structure = structureRows(quote, rows, scale);
  rows.skip();
  rows.text("Plan", "heading");
  const plan = planRows(quote, rows, structure, { scale, table });
  rows.skip();
  rows.text("Answer", "heading");
  rows.figure({ label: "", format: "text" }, plan.note, "", "faint");
  answerRows({ quote, rows, structure, plan, table, scale });
  return [rows.sheet(), tableSheet({ quote, name: table, plan, scale, unchanged: rows.named("Unchanged") })];
}
