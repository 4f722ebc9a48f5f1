import { failure, type Result, success } from "../result";
import { type Flow, rateOfFlows } from "./rate-of-flows";
import { byDate, type Transaction, transactionProblem } from "./transaction";
import { type UnitPeriod, unitPeriodOf, unitPeriodsFrom } from "./unit-period";

/** An annual percentage rate with how it was counted. */
export type AnnualPercentageRate = {
  /** Percent a year. */
  percent: number;
  unitPeriod: UnitPeriod;
  /** Every amount with its time in unit periods, advances above zero, payments below. */
  flows: Flow[];
};

/**
 * The annual percentage rate by the actuarial method: 12 CFR 1026 (Regulation Z), Appendix J.
 *
 * The rate of one unit period at which the payments are worth the advances, times the unit periods of a
 * year. The odd part of a unit period counts at simple interest.
 *
 * @param transaction advances net of prepaid finance charges, and payments: minor units and day numbers, in
 *   any order
 * @returns percent a year, below zero where less is paid than was lent; a failure where amounts or dates
 *   allow no rate
 * @example
 * // 5,000.00 lent on 10 January 1978, 24 monthly payments of 230.00 from 10 February
 * const advances = [{ date: parseIsoDate("1978-01-10"), amount: 500_000 }];
 * annualPercentageRate({ advances, payments: monthly(24, "1978-02-10", 23_000) }).value.percent.toFixed(2) // "9.69"
 */
export function annualPercentageRate(transaction: Transaction): Result<AnnualPercentageRate> {
  const problem = transactionProblem(transaction);
  if (problem) return failure("apr", problem);
  const [advances, payments] = [byDate(transaction.advances), byDate(transaction.payments)];
  const unitPeriod = unitPeriodOf(advances, payments);
  const start = Math.min(advances[0]?.date ?? 0, payments[0]?.date ?? 0);
  const timed = (series: typeof advances, sign: 1 | -1): Flow[] => {
    const timeOf = unitPeriodsFrom(
      unitPeriod,
      start,
      series.map(({ date }) => date),
    );
    return series.map(({ date, amount }) => ({ amount: sign * amount, ...timeOf(date) }));
  };
  const flows = [...timed(advances, 1), ...timed(payments, -1)].sort(
    (a, b) => a.periods + a.part - b.periods - b.part,
  );
  const rate = rateOfFlows(flows);
  if (rate === undefined) {
    return failure("apr", "No rate makes these payments worth these advances; look at their dates.");
  }
  return success({ percent: rate * unitPeriod.perYear * 100, unitPeriod, flows });
}
