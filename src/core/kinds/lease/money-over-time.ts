import { periodsPerYear } from "../../calendar";
import { type MoneyAt, monthsTo } from "../kind";
import type { LeaseQuote } from "./pricing";

/** What is paid so far and still owed of a lease; it ends with the vehicle handed back, its deposit back and its fee paid. */
export function leaseMoney(quote: LeaseQuote): MoneyAt[] {
  const { schedule, startDate, filled, dueAtSigning, cost, totalIfReturned, equity } = quote;
  const monthsAPeriod = 12 / periodsPerYear(filled.plan.frequency);
  const first: MoneyAt = { months: 0, date: startDate, paid: dueAtSigning.total, owed: cost };
  const points = [first];
  let { paid } = first;
  for (const { kind, date, period, payment, balance } of schedule) {
    if (kind === "atSigning") {
      first.owed = balance;
      continue;
    }
    paid += payment;
    points.push({ months: monthsTo(date, startDate) ?? period * monthsAPeriod, date, paid, owed: balance });
  }
  const last = points.at(-1) as MoneyAt;
  last.paid = totalIfReturned - equity;
  return points;
}
