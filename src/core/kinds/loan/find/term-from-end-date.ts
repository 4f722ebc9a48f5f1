import { isoDate, wholePeriodsUntil } from "../../../calendar";
import { parseDecimal } from "../../../interest";
import { MOST_PAYMENTS } from "../../../limits";
import { failure, type Result, success } from "../../../result";
import { lastWhole } from "../../../solve";
import { type LoanDeal, missingFigures, price, withoutPayment } from "../deal";
import { calendarOf, readTerms } from "../plan";

/**
 * The deal with the number of payments that its end date gives: as many as fall on or before it, and with extra money,
 * which ends the loan before its last payment date, the most with which it ends by then. An extra is found from the end
 * date itself.
 */
export function termFromEndDate(deal: LoanDeal): Result<LoanDeal> {
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
  const over = (payments: number): LoanDeal => ({
    ...given,
    plan: { ...plan, payments },
    find: find === "payments" ? "payment" : find,
  });
  const byDates = after + 1;
  if (!plan.extra || over(byDates).find !== "payment") return success(over(byDates));
  const most = lastWhole(payments => endOf(over(payments)) - from.value, byDates, MOST_PAYMENTS, byDates);
  return success(over(Math.max(most, byDates)));
}

/** The day on which a deal ends that asks for its payment; beyond every day where it has no answer. */
function endOf(deal: LoanDeal): number {
  const asked = withoutPayment(deal);
  const terms = readTerms(asked);
  const priced = terms.ok && missingFigures(asked) === undefined ? price(asked, terms.value) : null;
  return priced?.ok ? (priced.value.repayment.finalDate ?? 0) : Number.POSITIVE_INFINITY;
}
