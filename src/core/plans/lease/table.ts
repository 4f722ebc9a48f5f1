import type { DayNumber } from "../../calendar";
import { type PeriodRate, periodInterest } from "../../interest";
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

/**
 * The lessor's table: each payment split into rent and depreciation, down to exactly the residual. The rent of the last
 * row takes up the cents.
 *
 * @param terms the plan
 * @param lease what it comes to, in minor units, and the rate of a period that its balance bears
 * @example leaseTable(moneyFactorTerms, { cost: 4000000, residual: 1824000, base: 73548, tax: 0, rate: implicit })[1].rent // 17753
 */
export function leaseTable(
  terms: LeaseTerms,
  lease: { cost: number; residual: number; base: number; tax: number; rate: PeriodRate },
): LeaseRow[] {
  const { isAtOnce, atSigning, later, residualAt, dateOf } = terms;
  const { cost, residual, base, tax, rate } = lease;
  const rows: LeaseRow[] = [];
  let balance = cost;
  const add = (kind: LeaseRow["kind"], period: number, rent: number) => {
    const isPaid = kind !== "closing";
    const depreciation = (isPaid ? base : 0) - rent;
    balance -= depreciation;
    rows.push({
      number: isPaid ? rows.length + 1 : rows.length,
      period,
      date: dateOf(period),
      kind,
      payment: isPaid ? base + tax : 0,
      base: isPaid ? base : 0,
      rent,
      depreciation,
      tax: isPaid ? tax : 0,
      balance,
    });
  };
  // Nothing is earned before what is paid at signing.
  for (let payment = 0; payment < (isAtOnce ? 1 : atSigning); payment++) add("atSigning", 0, 0);
  for (let period = 1; period <= later; period++) {
    const isLast = period === residualAt;
    add("payment", period, isLast ? base - (balance - residual) : periodInterest(balance, rate));
  }
  if (residualAt > later) add("closing", residualAt, residual - balance);
  return rows;
}
