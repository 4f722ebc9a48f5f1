import { periodStepper, periodsBetween, periodsPerYear, stepPeriods } from "../../calendar";
import { aprOfRows } from "../../kinds/loan";
import { chargeColumn } from "../../structure";
import {
  annualPercentageRate,
  effectiveAnnualRate,
  effectiveRateOfFlows,
  type Transaction,
  UNDATED_START,
} from "../../yield";
import type { WayRow } from "../way";
import type { Basis } from "./basis";
import type { LoanWay } from "./loan-way";
import type { Timeline } from "./timeline";

/**
 * The APR of a way's rows with what falls with them: by the actuarial method, or the effective yearly rate.
 *
 * @returns percent a year; undefined where no rate makes the payments worth what is financed
 */
export function aprOfWay(
  basis: Basis,
  way: LoanWay,
  timeline: Timeline,
  rows: readonly WayRow[],
): number | undefined {
  const fallsWith = chargeColumn(rows, basis.charges);
  const paid = rows.map((row, index) => ({ ...row, payment: row.payment + (fallsWith[index] ?? 0) }));
  return way.isAprEffective
    ? effectiveRate(basis, way, timeline, paid)
    : (streamRate(basis, way, timeline, paid) ?? actuarialRate(basis, way, timeline, paid));
}

function streamRate(
  { deal, lent, terms }: Basis,
  { timing }: LoanWay,
  { start, dateOf }: Timeline,
  paid: readonly WayRow[],
): number | undefined {
  if (terms.isListed) return undefined;
  const { frequency, yearlyRate } = deal.plan;
  const first = dateOf(1);
  const odd = (): { months: number; days: number } | null => {
    if (start === null || first === null || timing === "advance") return null;
    if (stepPeriods(frequency, start, 1, terms.draft.calendar.twoDays) === first) return null;
    const { months, days, periods } = periodsBetween(frequency, start, first);
    return periods.numerator === periods.denominator ? null : { months, days };
  };
  return aprOfRows(
    {
      amountFinanced: lent.amountFinanced,
      yearlyRate: yearlyRate ?? "0",
      startDate: start,
      firstDate: first,
      oddFirstPeriod: odd(),
      filled: { plan: { frequency, timing } },
    },
    paid,
  );
}

/** How many periods after the start a row without a date falls. */
const periodsOf = ({ number }: WayRow, { timing }: LoanWay): number =>
  timing === "advance" ? number - 1 : number;

function transactionOf(
  { deal, lent }: Basis,
  way: LoanWay,
  { start }: Timeline,
  paid: readonly WayRow[],
): Transaction {
  const undated = periodStepper(deal.plan.frequency, UNDATED_START);
  return {
    advances: [{ date: start ?? UNDATED_START, amount: lent.amountFinanced }],
    payments: paid.flatMap(row =>
      row.payment > 0
        ? [
            {
              date: start === null || row.date === null ? undated(periodsOf(row, way)) : row.date,
              amount: row.payment,
            },
          ]
        : [],
    ),
  };
}

function actuarialRate(
  basis: Basis,
  way: LoanWay,
  timeline: Timeline,
  paid: readonly WayRow[],
): number | undefined {
  const apr = annualPercentageRate(transactionOf(basis, way, timeline, paid));
  return apr.ok ? apr.value.percent : undefined;
}

/** Without dates each period is its part of a year. */
function effectiveRate(
  basis: Basis,
  way: LoanWay,
  timeline: Timeline,
  paid: readonly WayRow[],
): number | undefined {
  const perYear = periodsPerYear(basis.deal.plan.frequency);
  const rate =
    timeline.start === null
      ? effectiveRateOfFlows([
          { amount: basis.lent.amountFinanced, years: 0 },
          ...paid.map(row => ({ amount: -row.payment, years: periodsOf(row, way) / perYear })),
        ])
      : effectiveAnnualRate(transactionOf(basis, way, timeline, paid));
  return rate.ok ? rate.value : undefined;
}
