// The loan of a plan of every shape in whole numbers, sharing no code with the core.
import { PER_YEAR, stepped, yearsBetween } from "./exact-dates";
import {
  divided,
  type ExactPlan,
  type ExactRow,
  periodsOf,
  rateFor,
  roundsToZero,
  SCALE,
  worthOf,
} from "./exact-periods";
import { rowsOf } from "./exact-table";

export type { ExactPlan } from "./exact-periods";

export type ExactLoan = {
  /** What is solved for: the level payment, or the part of the principal. */
  solved: bigint;
  /** The first regular payment. */
  payment: bigint;
  rows: ExactRow[];
};

/** The payment and the table; undefined where the loan cannot be repaid so. */
export function exactPlanTable(plan: ExactPlan): ExactLoan | undefined {
  const periods = periodsOf(plan);
  if (periods.length === 0) return undefined;
  const last = periods.at(-1)?.date ?? plan.signed;
  const balloonDate = plan.firstPayment
    ? stepped(last, plan.frequency, 1)
    : stepped(plan.signed, plan.frequency, periods.length);
  const lastRate = plan.timing === "advance" && plan.balloon > 0n ? balloonRate(plan, last, balloonDate) : 0n;
  const { level, agreed, atEnd } = worthOf(periods, lastRate);
  if (level === 0n || (plan.extraEach > plan.amount && !plan.trims)) return undefined;
  const left = plan.amount * SCALE - agreed - plan.balloon * atEnd;
  if (left < 0n && !roundsToZero(-left, level * plan.step, plan.rounding)) return undefined;
  const payment = left < 0n ? 0n : divided(left, level * plan.step, plan.rounding) * plan.step;
  const hasLastPeriod = plan.timing === "advance" && plan.balloon > 0n;
  const given = { plan, periods, lastRate, balloonDate: hasLastPeriod ? balloonDate : last };
  const rows = rowsOf(given, payment);
  const first = periods.find(({ pay }) => pay.kind === "principal")?.date;
  const interest = rows?.find(row => row.date === first && row.interest > 0n)?.interest ?? 0n;
  return rows && { solved: payment, payment: payment + interest, rows };
}

export function balloonRate(plan: ExactPlan, from: string, to: string): bigint {
  return plan.dayCount === "equal"
    ? rateFor(plan, [1n, BigInt(PER_YEAR[plan.frequency])])
    : rateFor(plan, yearsBetween(from, to, plan.dayCount));
}
