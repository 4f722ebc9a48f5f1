import { sumOfAmounts } from "../../../amount-lines";
import { percentOf, readPercent } from "../../../interest";
import { lastNearby, lastWhole } from "../../../solve";
import {
  capitalizedSums,
  cashDown,
  chargeAmounts,
  chargesWithPayments,
  isDownFromDue,
  type Structure,
  totalOf,
} from "../../../structure";
import { basePayment } from "./base-payment";
import type { Capitalized } from "./capitalized";
import { dueBesidesCash } from "./due";
import type { LeaseDeal, LeasePlan } from "./lease";
import { capitalizedFee } from "./lines";
import { linesTax, onceTaxes, paymentTax } from "./taxes";
import type { LeaseTerms } from "./terms";

const STEPS_TO_SETTLE = 5_000;
/** How many times what is capitalized else a cost can be. */
const MOST_TIMES = 20;

/**
 * What a lease of which everything but the payment is given comes to: percents of the cost, of all payments, and a
 * capitalized tax on the sum of payments are solved together, the least that fits.
 *
 * @param lease its price, cash and residual are there
 * @param terms its plan, read
 * @returns the amounts; an infinite cost where what is reckoned from it comes to almost all of it, or more
 */
export function capitalize(lease: LeaseDeal, terms: LeaseTerms): Capitalized {
  const { down } = lease.structure;
  if (!isDownFromDue(down)) return settled(lease, terms, null);
  return fromDueAtSigning(lease, terms, down.dueAtSigning);
}

/** Every line rises with what the cost is held to be: from below, each step leads up to the least that fits. */
function settled(lease: LeaseDeal, terms: LeaseTerms, cash: number | null): Capitalized {
  let found = reckon(lease, terms, 0, cash);
  const most = MOST_TIMES * (Math.abs(found.cost) + 100);
  for (let step = 0; step < STEPS_TO_SETTLE; step++) {
    const next = reckon(lease, terms, found.cost, cash);
    if (next.cost === found.cost) return next;
    if (next.cost > most) break;
    found = next;
  }
  return { ...found, cost: Number.POSITIVE_INFINITY };
}

/** What the lines come to where those that are reckoned from the cost are reckoned from an assumed one. */
function reckon(lease: LeaseDeal, terms: LeaseTerms, assumed: number, givenCash: number | null): Capitalized {
  const { structure, plan, listPrice } = lease;
  const price = structure.price ?? 0;
  const residual = residualOf(plan, price, listPrice);
  const assumedBase = Math.max(assumed > 0 ? (basePayment(terms, assumed, residual) ?? 0) : 0, 0);
  const sumOfPayments = assumedBase * (terms.isAtOnce ? 1 : terms.payments);
  const loan = { loanAmount: assumed, totalOfPayments: sumOfPayments };
  const fees = chargeAmounts(structure.fees, price, loan);
  const extras = chargeAmounts(structure.extras, price, loan);
  const equity = equityOf(structure);
  let rebates = sumOfAmounts(structure, isGivenBack);
  for (const { amount } of structure.rebates ?? []) rebates += amount;
  const { acquisitionFee } = plan;
  const lines = { price, fees, extras, acquisition: acquisitionFee?.isTaxable ? acquisitionFee.amount : 0 };
  const total = () =>
    totalOf(structure, { price, fees, extras, taxTotal: linesTax(plan.taxes, structure, lines) }) +
    (acquisitionFee?.amount ?? 0);
  const cash = givenCash ?? cashDown(structure.down, price, isOfTotal(structure) ? total() : price);
  const taxes = onceTaxes(plan.taxes, structure, {
    ...lines,
    cash,
    rebates,
    equity: Math.max(equity, 0),
    sumOfPayments,
  });
  const amounts = { price, fees, extras, taxes, equity, cash, acquisitionFee: capitalizedFee(plan) };
  const { gross, reduction } = capitalizedSums(structure, amounts);
  const cost = gross - reduction;
  const base = cost > 0 ? basePayment(terms, cost, residual) : undefined;
  const tax = paymentTax(plan.taxes, base ?? 0);
  return {
    price,
    fees,
    extras,
    taxes,
    residual,
    equity,
    rebates,
    deposit: sumOfAmounts(structure, isPaidBefore),
    cash,
    gross,
    reduction,
    cost,
    base,
    tax,
    securityDeposit: securityOf(plan, (base ?? 0) + tax),
    withPayments: chargesWithPayments(structure, { fees, extras }),
  };
}

const isOfTotal = ({ down }: Structure) => down !== null && "percent" in down && down.of === "total";
/** Whether an amount line is given by others, as a rebate is. */
const isGivenBack = ({ sign, ownCost }: { sign: 1 | -1; ownCost: 1 | 0 }) => sign < 0 && ownCost === 0;

/** Whether an amount line is what the customer has paid already. */
const isPaidBefore = ({ sign, ownCost }: { sign: 1 | -1; ownCost: 1 | 0 }) => sign < 0 && ownCost > 0;

/** The residual in minor units; a percent is rounded half up. */
function residualOf({ residual }: LeasePlan, price: number, listPrice: number | null): number {
  if (residual === null) return 0;
  if ("amount" in residual) return residual.amount;
  return percentOf(residual.of === "price" ? price : (listPrice ?? 0), readPercent(residual.percent));
}

/** What all trade-ins are worth beyond what is owed on them, in minor units. */
function equityOf({ tradeIns }: Structure): number {
  let equity = 0;
  for (const { allowance, owed } of tradeIns) equity += (allowance ?? 0) - owed;
  return equity;
}

function securityOf({ securityDeposit }: LeasePlan, payment: number): number {
  if (securityDeposit === undefined) return 0;
  if ("amount" in securityDeposit) return securityDeposit.amount;
  const { roundedUpTo } = securityDeposit;
  return roundedUpTo > 0 ? Math.ceil(payment / roundedUpTo) * roundedUpTo : payment;
}

const MOST_JUMPS = 16;
/** How far roundings of taxes, fees and a deposit can put cash out of order. */
const CENTS_OUT_OF_ORDER = 16;
const PROBE = 100_000;

/**
 * Whether less is due at signing where more cash is paid: the payments of that day, with their taxes, then fall by more
 * than the cash that is added.
 */
export function dueFallsWithCash(lease: LeaseDeal, terms: LeaseTerms): boolean {
  if (terms.atSigning === 0) return false;
  const none = settled(lease, terms, 0);
  const some = Math.round(none.cost / 4);
  if (!(some > 0 && Number.isFinite(some))) return false;
  const besides = (found: Capitalized) => dueBesidesCash(lease, terms, found);
  return some + besides(settled(lease, terms, some)) < besides(none);
}

/**
 * The lease with the largest cash with which no more is due at signing than is given; below zero, it is capitalized. Where
 * more cash leaves less due, the smallest.
 */
function fromDueAtSigning(lease: LeaseDeal, terms: LeaseTerms, due: number): Capitalized {
  const withCash = (cash: number) => settled(lease, terms, cash);
  const besides = (cash: number) => dueBesidesCash(lease, terms, withCash(cash));
  const over = (cash: number) => cash + besides(cash) - due;
  const none = withCash(0);
  if (none.cost !== Number.POSITIVE_INFINITY && dueFallsWithCash(lease, terms)) {
    const least = -lastWhole(cash => over(-cash), -due, 0, over(0));
    return over(least) <= 0 ? withCash(least) : { ...none, cost: Number.POSITIVE_INFINITY };
  }
  // What is capitalized raises the payments at signing that it is to pay for.
  const low = -MOST_TIMES * (Math.abs(none.cost) + 100);
  if (none.cost === Number.POSITIVE_INFINITY) return none;
  // Next to a straight line: two places lead near the cash.
  const [atNone, atAll] = [over(0), over(due + PROBE)];
  const guess = (-atNone * (due + PROBE)) / (atAll - atNone);
  let held = lastWhole(over, low, due, Number.isFinite(guess) ? guess : 0);
  if (held < low) return { ...none, cost: Number.POSITIVE_INFINITY };
  // A payment that is rounded to a step falls by it as the cash rises, and more cash fits again.
  for (let jump = 0; jump < MOST_JUMPS; jump++) {
    const same = besides(held + 1);
    const next = 1 + lastWhole(cash => same - besides(cash), held + 1, due, held + 2);
    if (next > due || over(next) > 0) break;
    held = lastWhole(over, next, due, next);
  }
  return withCash(lastNearby(cash => over(cash) <= 0, held, due, CENTS_OUT_OF_ORDER));
}
