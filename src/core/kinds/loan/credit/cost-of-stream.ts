import { FEWEST_IN_STREAM } from "../../../limits";
import { chargeColumn } from "../../../structure";
import type { Stretch } from "../../../yield";
import { type PaymentRow, repay } from "../plan";
import { type LoanSummary, machineOf } from "../quote";
import { hasLevelStream, levelStretches } from "./cost-of-level";
import { aprOfStretches, type CostOfCredit, costOfStretches, type StreamOf } from "./cost-of-stretches";

/**
 * The yearly rates of an answered deal whose payments come period by period; undefined where only the general equations
 * can tell, amount by amount.
 *
 * @param quote an answered deal
 * @returns percent a year
 * @example costOfStream(plainQuote).apr.toFixed(2) // "6.00"
 */
export function costOfStream(quote: LoanSummary): CostOfCredit | undefined {
  const payments = stretchesOf(quote);
  return payments && costOfStretches(quote, payments);
}

/**
 * The APR alone of an answered deal whose payments come period by period; undefined where {@link costOfStream} is.
 *
 * @returns percent a year
 * @example aprOfStream(plainQuote).toFixed(2) // "6.00"
 */
export function aprOfStream(quote: LoanSummary): number | undefined {
  const payments = stretchesOf(quote);
  return payments && aprOfStretches(quote, payments);
}

/**
 * The APR of rows of payments, with what falls with them; undefined where only the general equations can tell.
 *
 * @param of how the payments count
 * @param rows a table, or another's
 * @returns percent a year
 * @example aprOfRows(plainQuote, plainQuote.schedule).toFixed(2) // "6.00"
 */
export function aprOfRows(of: StreamOf, rows: readonly StreamRow[]): number | undefined {
  return rows.length >= FEWEST_IN_STREAM && stepsByOnePeriod(rows)
    ? aprOfStretches(of, stretchesOfRows(rows))
    : undefined;
}

type StreamRow = Pick<PaymentRow, "number" | "payment"> & { kind: string };

/**
 * A deal's payments in stretches, where they are one period of the plan apart and this is the unit period;
 * undefined where extras or listed dates come between, or where another period could be the common one.
 */
function stretchesOf(quote: LoanSummary): Stretch[] | undefined {
  if (quote.isListed || hasDatedExtras(quote)) return undefined;
  if (hasLevelStream(quote)) return quote.payments < FEWEST_IN_STREAM ? undefined : levelStretches(quote);
  const rows = scheduleOf(quote);
  return stepsByOnePeriod(rows) ? stretchesOfRows(rows) : undefined;
}

function hasDatedExtras({ filled: { plan } }: LoanSummary): boolean {
  const { yearly, once = [] } = plan.extra ?? {};
  return yearly !== undefined || once.length > 0;
}

function stretchesOfRows(rows: readonly StreamRow[]): Stretch[] {
  const stretches: Stretch[] = [];
  let number = 0;
  for (const row of rows) {
    const last = stretches.at(-1);
    if (last && row.number === number) {
      // A balloon together with the last payment.
      last.count -= 1;
      stretches.push({ amount: last.amount + row.payment, count: 1 });
    } else if (last?.amount === row.payment) last.count += 1;
    else stretches.push({ amount: row.payment, count: 1 });
    number = row.number;
  }
  return stretches.filter(({ count }) => count > 0);
}

/**
 * The lines of the repayment table, made again where only the totals were, with what falls with payments and counts in
 * the finance charge.
 */
export function scheduleOf(quote: LoanSummary): PaymentRow[] {
  const rows: PaymentRow[] = [];
  repay(machineOf(quote).loan, rows);
  if (quote.charges === undefined) return rows;
  const charges = chargeColumn(rows, quote.charges.inFinanceCharge);
  return rows.map((row, index) => ({ ...row, payment: row.payment + (charges[index] ?? 0) }));
}

/** Whether the plan's own period is the commonest between two payments, and occurs more than once. */
function stepsByOnePeriod(schedule: readonly StreamRow[]): boolean {
  const numbers = schedule.filter(({ payment, kind }) => payment > 0 && kind !== "balloon");
  let [single, wider] = [0, 0];
  for (let index = 1; index < numbers.length; index++) {
    const gap = (numbers[index]?.number ?? 0) - (numbers[index - 1]?.number ?? 0);
    if (gap === 1) single += 1;
    else wider += 1;
  }
  return single > 1 && single >= wider;
}
