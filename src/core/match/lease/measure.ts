import { periodsPerYear } from "../../calendar";
import { readPercent } from "../../interest";
import type { LeaseDeal } from "../../kinds/lease";
import {
  bearsRent,
  implicitRate,
  leaseTable,
  type PricedLease,
  priceLease,
  unroundedBase,
} from "../../kinds/lease/pricing";
import { type Measured, rowInterest, type WayRow } from "../way";
import type { LeaseWay } from "./lease-way";

/** A lease that was priced, once for each deal. */
const known = new WeakMap<LeaseDeal, PricedLease | null>();

/** What a lease comes to before its table; null where there is no such lease. */
export function pricedOf(deal: LeaseDeal): PricedLease | null {
  const before = known.get(deal);
  if (before !== undefined) return before;
  const priced = priceLease(deal);
  const isThere =
    priced.ok &&
    bearsRent(priced.value.terms, priced.value.found.cost, priced.value.base, priced.value.found.residual);
  const made = isThere ? priced.value : null;
  known.set(deal, made);
  return made;
}

/** What a lease comes to by a way; null where there is no such lease. */
export function measureLease(way: LeaseWay): Measured | null {
  const priced = pricedOf(way.deal);
  if (!priced) return null;
  const { terms, found, base, spent } = priced;
  const { plan } = way.deal;
  const unrounded = unroundedBase(terms, found.cost, found.residual);
  const payment = way.isTaxOnUnrounded ? roundedWithTax(way.deal, unrounded) : base + found.tax;
  const count = terms.isAtOnce ? 1 : terms.payments;
  let implicit: ReturnType<typeof implicitRate> | null = null;
  const implied = () => {
    implicit ??= implicitRate(terms, found.cost, base, found.residual);
    return implicit;
  };
  let rows: readonly WayRow[] | undefined;
  return {
    payment,
    unrounded,
    lastPayment: () => payment,
    totalOfPayments: () =>
      spent(way.deal) +
      count * (payment - base - found.tax) +
      Math.max(found.equity, 0) +
      found.rebates +
      plan.dispositionFee,
    financeCharge: () => count * base - (found.cost - found.residual),
    amountFinanced: found.cost,
    rows: () => {
      rows ??= rowsOf(way, priced, payment, implied());
      return rows;
    },
    apr: () => {
      const rate = implied();
      return rate && rate.value * periodsPerYear(plan.frequency) * 100;
    },
    payoff: () => undefined,
  };
}

/** The unrounded payment with all its taxes, rounded once by the plan's rule. */
function roundedWithTax({ plan }: LeaseDeal, unrounded: number): number {
  let tax = 0;
  for (const { on, rate, capOn } of plan.taxes) {
    const { digits, scale } = readPercent(rate);
    if (on.includes("payment")) tax += (Math.min(unrounded, capOn ?? unrounded) * digits) / (100 * scale);
  }
  const step = plan.roundingStep ?? 1;
  const steps = (unrounded + tax) / step;
  // Within a float's error of a whole number it is that.
  const round = {
    nearest: () => Math.floor(steps + 0.5 + NEAR),
    up: () => Math.ceil(steps - NEAR),
    down: () => Math.floor(steps + NEAR),
  };
  return round[plan.rounding]() * step;
}

const NEAR = 1e-7;

/** The lessor's table with the rent of each row rounded by a rule; depreciation is in place of principal. */
function rowsOf(
  { rows: rule }: LeaseWay,
  { terms, found, base }: PricedLease,
  payment: number,
  implicit: ReturnType<typeof implicitRate>,
): WayRow[] {
  const rate = "rate" in terms.by ? terms.by.rate : implicit;
  if (!rate) return [];
  const { cost, residual, tax } = found;
  let balance = cost;
  return leaseTable(terms, { cost, residual, base, tax, rate }).map(row => {
    const isCounted = row.kind === "payment" && row.period !== terms.residualAt;
    const isClosing = row.kind === "closing" || row.period === terms.residualAt;
    const rent = isCounted
      ? rowInterest(balance, rate, rule)
      : isClosing
        ? row.base - (balance - residual)
        : row.rent;
    balance -= row.base - rent;
    return {
      kind: row.kind,
      number: row.number,
      date: row.date,
      payment: row.kind === "closing" ? 0 : payment,
      interest: rent,
      principal: row.base - rent,
      balance,
    };
  });
}
