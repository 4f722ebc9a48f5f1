import { periodStepper, periodsBetween, stepPeriods } from "../../calendar";
import { aprOfRows } from "../../kinds/loan";
import { chargeColumn } from "../../structure";
import { annualPercentageRate, UNDATED_START } from "../../yield";
import type { WayRow } from "../way";
import type { Basis } from "./basis";
import type { LoanWay } from "./loan-way";
import type { Timeline } from "./timeline";

/**
 * The APR of a way's rows with what falls with them, by the actuarial method.
 *
 * @returns percent a year; undefined where no rate makes the payments worth what is financed
 */
export function aprOfWay(
  { deal, lent, charges, terms }: Basis,
  { timing }: LoanWay,
  { start, dateOf }: Timeline,
  rows: readonly WayRow[],
): number | undefined {
  const fallsWith = chargeColumn(rows, charges);
  const paid = rows.map((row, index) => ({ ...row, payment: row.payment + (fallsWith[index] ?? 0) }));
  const { frequency, yearlyRate } = deal.plan;
  const first = dateOf(1);
  const stream = terms.isListed
    ? undefined
    : aprOfRows(
        {
          amountFinanced: lent.amountFinanced,
          yearlyRate: yearlyRate ?? "0",
          startDate: start,
          firstDate: first,
          oddFirstPeriod: oddFirst(),
          filled: { plan: { frequency, timing } },
        },
        paid,
      );
  if (stream !== undefined) return stream;
  const undated = periodStepper(frequency, UNDATED_START);
  const payments = paid.map(({ date, number, payment }) => ({
    date: start === null || date === null ? undated(timing === "advance" ? number - 1 : number) : date,
    amount: payment,
  }));
  const apr = annualPercentageRate({
    advances: [{ date: start ?? UNDATED_START, amount: lent.amountFinanced }],
    payments: payments.filter(({ amount }) => amount > 0),
  });
  return apr.ok ? apr.value.percent : undefined;

  function oddFirst() {
    if (start === null || first === null || timing === "advance") return null;
    if (stepPeriods(frequency, start, 1, terms.draft.calendar.twoDays) === first) return null;
    const { months, days, periods } = periodsBetween(frequency, start, first);
    return periods.numerator === periods.denominator ? null : { months, days };
  }
}
