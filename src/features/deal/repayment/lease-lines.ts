import { type LeaseQuote, type LeaseRow, periodsPerYear } from "@/core";
import { leaseCharges } from "@/exchange/kinds/lease/rows";
import { whyLeaseLine } from "@/exchange/kinds/lease/words/why-line";
import { leaseRemark } from "@/features/repayment/lease-remark";
import type { ColumnNames, MoreColumn } from "./columns";
import type { LineColumn, TableLines } from "./lines";
import { moreColumns } from "./more-columns";

/** What a lease's table can show besides payment, rent, lost value, tax and what is left. */
export const leaseColumnNames = (quote: LeaseQuote): ColumnNames => ({
  opening: "Left before",
  costSoFar: "Rent so far",
  principalSoFar: "Lost value so far",
  ...(leaseCharges(quote) && { charges: "Charges" }),
});

/**
 * A lease's table, down to the residual.
 *
 * @param more which columns it shows besides
 */
export function leaseLines(quote: LeaseQuote, more: readonly MoreColumn[]): TableLines {
  const { schedule: rows, cost, deal, filled, startDate } = quote;
  const column = (name: string, part: "payment" | "rent" | "depreciation" | "tax"): LineColumn => ({
    name,
    at: place => {
      const row = rows[place];
      // On the day of the residual nothing is paid.
      const isPaid = row && (row.kind !== "closing" || part === "rent" || part === "depreciation");
      return isPaid ? row[part] : null;
    },
    sum: "total",
  });
  const isPayment = ({ kind }: LeaseRow) => kind !== "closing";
  const last = rows.findLast(isPayment);
  return {
    rows,
    columns: [
      column("Payment", "payment"),
      column("Rent", "rent"),
      column("Lost value", "depreciation"),
      column("Tax", "tax"),
      { name: "Left", at: place => rows[place]?.balance ?? null, sum: "last" },
      ...moreColumns(
        leaseColumnNames(quote),
        more,
        rows.map(({ balance, rent, depreciation }) => ({ balance, cost: rent, principal: depreciation })),
        cost,
        leaseCharges(quote),
      ),
    ],
    currency: deal.currency,
    perYear: periodsPerYear(filled.plan.frequency),
    hasDates: startDate !== null,
    counted: (from, to) => {
      const payments = rows.slice(from, to).filter(isPayment).length;
      return `${payments} ${payments === 1 ? "payment" : "payments"}`;
    },
    isNumbered: place => rows[place]?.kind !== "closing",
    remark: place => (rows[place] ? leaseRemark(rows[place]) : ""),
    why: place => whyLeaseLine(quote, place),
    isLast: place => rows[place] === last,
  };
}
