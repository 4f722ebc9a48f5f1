import type { DayNumber } from "../../../calendar";
import { type PeriodRate, periodInterest } from "../../../interest";
import type { LeaseTerms } from "./terms";

/** One line of a lessor's table, in minor units. */
export type LeaseRow = {
  /** From 1; the closing row, on which nothing is paid, has the number of the last payment. */
  number: number;
  /** How many periods after signing. */
  period: number;
  date: DayNumber | null;
  kind: "atSigning" | "payment" | "closing";
  /** With tax. */
  payment: number;
  base: number;
  rent: number;
  depreciation: number;
  tax: number;
  balance: number;
};

/** What a lease comes to, in minor units, and the rate of a period that its balance bears. */
type TableOf = { cost: number; residual: number; base: number; tax: number; rate: PeriodRate };

/**
 * The lessor's table: each payment split into rent and depreciation, down to exactly the residual. The rent of the last
 * row takes up the cents.
 *
 * @param terms the plan
 * @example leaseTable(moneyFactorTerms, { cost: 4000000, residual: 1824000, base: 73548, tax: 0, rate: implicit })[1].rent // 17753
 */
export function leaseTable(
  { isAtOnce, atSigning, later, residualAt, dateOf }: LeaseTerms,
  { cost, residual, base, tax, rate }: TableOf,
): LeaseRow[] {
  const rows: LeaseRow[] = [];
  const payment = base + tax;
  let balance = cost;
  // Nothing is earned before what is paid at signing.
  const first = isAtOnce ? 1 : atSigning;
  const signed = first > 0 ? dateOf(0) : null;
  for (let number = 1; number <= first; number++) {
    balance -= base;
    rows.push({
      number,
      period: 0,
      date: signed,
      kind: "atSigning",
      payment,
      base,
      rent: 0,
      depreciation: base,
      tax,
      balance,
    });
  }
  for (let period = 1; period <= later; period++) {
    const rent = period === residualAt ? base - (balance - residual) : periodInterest(balance, rate);
    const lost = base - rent;
    balance -= lost;
    rows.push({
      number: first + period,
      period,
      date: dateOf(period),
      kind: "payment",
      payment,
      base,
      rent,
      depreciation: lost,
      tax,
      balance,
    });
  }
  if (residualAt > later) {
    const rent = residual - balance;
    rows.push({
      number: rows.length,
      period: residualAt,
      date: dateOf(residualAt),
      kind: "closing",
      payment: 0,
      base: 0,
      rent,
      depreciation: -rent,
      tax: 0,
      balance: residual,
    });
  }
  return rows;
}
