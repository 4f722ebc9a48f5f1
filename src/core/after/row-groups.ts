import { civilDate } from "../calendar";
import type { PaymentRow } from "../kinds/loan/plan";
import { type Totals, totalsOfRows } from "./totals";

/** Lines of a repayment table that belong together, with what they come to; minor units. */
export type RowGroup = Totals & {
  /** The calendar year, or the year of the contract, from 1. */
  year: number;
  /** Places in the table: its lines from one to before another. */
  from: number;
  to: number;
};

/** How lines are grouped: by the calendar, or by years since the contract, with so many payments each. */
export type GroupedBy = "calendar" | { perYear: number };

/**
 * The lines of a repayment table year by year, in order.
 *
 * @param rows a repayment table; grouped by the calendar all of them have dates
 * @param loanAmount what is owed before the first
 * @param by the calendar, or years since the contract
 * @example rowGroups(campervan.schedule, campervan.loanAmount, { perYear: 12 })[1].interest // 197258
 */
export function rowGroups(rows: readonly PaymentRow[], loanAmount: number, by: GroupedBy): RowGroup[] {
  const yearOf = ({ date, number }: PaymentRow) =>
    by === "calendar" ? civilDate(date ?? 0).year : Math.floor((Math.max(number, 1) - 1) / by.perYear) + 1;
  const starts = rows.flatMap((row, index) =>
    index === 0 || yearOf(row) !== yearOf(rows[index - 1] as PaymentRow) ? [index] : [],
  );
  return starts.map((from, place) => {
    const to = starts[place + 1] ?? rows.length;
    const before = rows[from - 1]?.balance ?? loanAmount;
    return {
      year: yearOf(rows[from] as PaymentRow),
      from,
      to,
      ...totalsOfRows(rows.slice(from, to), before),
    };
  });
}

/**
 * From which payment on more of each goes to principal than to interest, to the end.
 *
 * @param rows a repayment table
 * @returns the payment's number; "always" where that is so from the first one, "never" where it is not so of the last
 * @example principalLeads(campervan.schedule) // "always"
 */
export function principalLeads(rows: readonly PaymentRow[]): number | "always" | "never" {
  const paid = rows.filter(({ kind, payment }) => kind !== "extra" && kind !== "balloon" && payment > 0);
  const last = paid.findLastIndex(({ principal, interest }) => principal <= interest);
  if (last < 0) return "always";
  return paid[last + 1]?.number ?? "never";
}
