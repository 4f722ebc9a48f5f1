import { periodsPerYear } from "../../calendar";
import { chargeColumn } from "../../structure";
import { type MoneyAt, monthsTo } from "../kind";
import type { LoanQuote } from "./quote";

/** What is paid so far and still owed of a loan, from signing to its end. */
export function loanMoney(quote: LoanQuote): MoneyAt[] {
  const { schedule, startDate, filled, dueAtSigning, loanAmount } = quote;
  const { timing, frequency } = filled.plan;
  const charges = quote.charges && chargeColumn(schedule, quote.charges.all);
  const monthsAPeriod = 12 / periodsPerYear(frequency);
  const isAtSigning = ({ date, number, kind }: LoanQuote["schedule"][number]) =>
    startDate === null ? timing === "advance" && number === 1 && kind !== "balloon" : date === startDate;
  const first: MoneyAt = { months: 0, date: startDate, paid: dueAtSigning.total, owed: loanAmount };
  const points = [first];
  let { paid } = first;
  for (const [index, row] of schedule.entries()) {
    if (isAtSigning(row)) {
      first.owed = row.balance;
      continue;
    }
    paid += row.payment + (charges?.[index] ?? 0);
    const periods = timing === "advance" && row.kind !== "balloon" ? row.number - 1 : row.number;
    const months = monthsTo(row.date, startDate) ?? periods * monthsAPeriod;
    points.push({ months, date: row.date, paid, owed: row.balance });
  }
  return points;
}
