import { isoDate, wholePeriodsUntil } from "../calendar";
import type { Deal } from "../deal";
import { parseDecimal } from "../interest";
import { MOST_PAYMENTS } from "../limits";
import { calendarOf } from "../plans/loan";
import { failure, type Result, success } from "../result";

/**
 * The deal with the number of payments that its end date gives: as many as fall on or before it. An extra
 * is found from the end date itself.
 */
export function termFromEndDate(deal: Deal): Result<Deal> {
  const { from, find, plan } = deal;
  if (from?.figure !== "endDate" || find === "extra" || find === "lump") return success(deal);
  const rate = parseDecimal(plan.yearlyRate ?? "0") ?? { digits: 0, scale: 1 };
  const calendar = calendarOf(plan, rate, MOST_PAYMENTS, 2);
  if (!calendar.ok) return calendar;
  const { dateOf } = calendar.value.calendar;
  const first = dateOf(1);
  if (first === null) return failure("signed", "An end date needs the contract date; type it.");
  const after = wholePeriodsUntil(periods => dateOf(periods + 1) ?? 0, from.value, MOST_PAYMENTS);
  if (after === undefined || after >= MOST_PAYMENTS) {
    const last = isoDate(dateOf(MOST_PAYMENTS) ?? 0);
    return failure(
      "endDate",
      `The end date ${isoDate(from.value)} is not possible; it can be from the first payment, ${isoDate(first)}, to ${last}.`,
    );
  }
  const { from: _from, ...given } = deal;
  return success({
    ...given,
    plan: { ...plan, payments: after + 1 },
    find: find === "payments" ? "payment" : find,
  });
}
