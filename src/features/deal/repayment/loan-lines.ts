import { chargeColumn, type LoanQuote, type PaymentRow, periodsPerYear } from "@/core";
import { whyLine } from "@/exchange/kinds/loan/words/why-line";
import { paymentCount, remarkOn } from "@/features/repayment/remarks";
import type { ColumnNames, MoreColumn } from "./columns";
import type { LineColumn, TableLines } from "./lines";
import { moreColumns } from "./more-columns";

/** What a loan's table can show besides payment, interest, principal and balance. */
export const loanColumnNames = ({ charges }: LoanQuote): ColumnNames => ({
  opening: "Opening balance",
  costSoFar: "Interest so far",
  principalSoFar: "Principal so far",
  ...(charges && { charges: "Charges" }),
});

/**
 * A loan's table: the plan's own, or the one with what is tried beside it.
 *
 * @param quote an answered deal
 * @param rows its table, or the tried one
 * @param more which columns it shows besides
 */
export function loanLines(
  quote: LoanQuote,
  rows: readonly PaymentRow[],
  more: readonly MoreColumn[],
): TableLines {
  const { charges, deal, filled, loanAmount, startDate } = quote;
  const column = (name: string, part: "payment" | "interest" | "principal"): LineColumn => ({
    name,
    at: place => rows[place]?.[part] ?? null,
    sum: "total",
  });
  const last = rows.findLast(({ kind }) => kind === "payment" || kind === "interestOnly");
  const remarked = { ...quote, payments: last?.number ?? 0, finalPayment: last?.payment ?? 0 };
  const said = ({ asked }: PaymentRow) => (asked === undefined ? "" : ", no more is owed");
  return {
    rows,
    columns: [
      column("Payment", "payment"),
      column("Interest", "interest"),
      column("Principal", "principal"),
      { name: "Balance", at: place => rows[place]?.balance ?? null, sum: "last" },
      ...moreColumns(
        loanColumnNames(quote),
        more,
        rows.map(({ balance, interest, principal }) => ({ balance, cost: interest, principal })),
        loanAmount,
        charges && chargeColumn(rows, charges.all),
      ),
    ],
    currency: deal.currency,
    perYear: periodsPerYear(filled.plan.frequency),
    hasDates: startDate !== null,
    counted: (from, to) => paymentCount(rows.slice(from, to)),
    isNumbered: () => true,
    remark: place => {
      const row = rows[place];
      return row ? remarkOn(remarked, row) + said(row) : "";
    },
    why: place => whyLine(quote, rows, place),
    isLast: place => rows[place] === last,
  };
}
