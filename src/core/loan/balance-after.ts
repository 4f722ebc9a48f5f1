import { FLOAT, LEVEL_PAY, type Run, worthOf } from "../annuity";
import { earnedBySumOfDigits, flatCharge, flatTrueRate } from "./flat-rate-table";
import type { Loan } from "./loan";

/** A balance by formula, in minor units. */
export type FormulaBalance = {
  /** Not rounded. */
  balance: number;
  /** How far the table's can be from it; 0 where the two are the same to the minor unit. */
  mostOff: number;
};

const HALF_A_UNIT = 0.5;

/**
 * What is owed after some payments, by formula and without a table:
 * `(amount − worth of what was paid) × growth until then`.
 *
 * The table rounds the interest of every row, and each rounding bears interest from then on, so that a formula
 * agrees with it to the minor unit only where there is no rounding: without interest, and where a flat-rate
 * charge is earned by the sum of the digits. Elsewhere it says how far off it can be.
 *
 * @param loan a loan without extras
 * @param after how many payment dates have passed, before the last
 * @returns the balance, or null where payments change by percents, which round on the way
 * @example balanceAfter(loan, 36) // { balance: 2107190.3…, mostOff: 19.8… }
 */
export function balanceAfter(loan: Loan, after: number): FormulaBalance | null {
  const { amount, payment, draft } = loan;
  const { flat, calendar, payments } = draft;
  if (loan.extraEach > 0 || loan.extras.length > 0 || after >= payments) return null;
  if (flat?.earning === "sumOfDigits") {
    const charge = flatCharge(amount, calendar);
    const unearned = charge - earnedBySumOfDigits(charge, payments, after);
    return { balance: amount + charge - after * payment - unearned, mostOff: 0 };
  }
  const runs = firstDates(flat ? flatRuns(loan) : draft.runs, after);
  if (runs.some(({ pay }) => pay.kind === "level" && pay.raises.length > 0)) return null;
  const { level, amounts, atEnd } = worthOf(runs, null, FLOAT);
  const balance = (amount - payment * level - amounts) / atEnd;
  return { balance, mostOff: HALF_A_UNIT * grownRoundings(runs) };
}

function flatRuns({ amount, draft: { calendar, payments } }: Loan): Run[] {
  const rate = flatTrueRate(amount, flatCharge(amount, calendar), payments);
  return [{ count: payments, rate, pay: LEVEL_PAY }];
}

/** The runs of the first payment dates. */
function firstDates(runs: readonly Run[], count: number): Run[] {
  const first: Run[] = [];
  let left = count;
  for (const run of runs) {
    if (left <= 0) break;
    first.push({ ...run, count: Math.min(run.count, left) });
    left -= run.count;
  }
  return first;
}

/** What one unit of rounding in every row that has interest grows to. */
function grownRoundings(runs: readonly Run[]): number {
  let grown = 0;
  for (const { rate, count, pay } of runs) {
    if (rate.value === 0 || pay.kind === "interest") continue;
    const growth = Math.exp(count * Math.log1p(rate.value));
    grown = grown * growth + Math.expm1(count * Math.log1p(rate.value)) / rate.value;
  }
  return grown;
}
