import { anyAmount, type Finder, fillStructure, lastRight, placesText, RATE_PLACES } from "../../../find";
import { PERCENT_OF_FACTOR } from "../../../interest";
import { HIGHEST_YEARLY_RATE, MOST_PAYMENTS } from "../../../limits";
import { currencyDecimals } from "../../../money";
import { type Failure, type Result, success } from "../../../result";
import { lastNearby, lastWhole, roundest } from "../../../solve";
import { isDownFromDue } from "../../../structure";
import { dueFallsWithCash } from "../pricing/capitalize";
import { dueBesidesCash } from "../pricing/due";
import type { LeaseDeal, LeaseFoundFigure, LeaseKnown } from "../pricing/lease";
import { type PricedLease, priceLease } from "../pricing/price";
import { purchaseTax } from "../pricing/taxes";
import { leaseTerms } from "../pricing/terms";
import { LEASE_NAMES, noLeaseAnswer, notDepending } from "./no-answer";

type Searched = Exclude<LeaseFoundFigure, "payment" | "payments">;

const HUNDREDTHS = 100;
/** A residual of more than ten times the price is a slip. */
const HIGHEST_RESIDUAL_PERCENT = 1000 * HUNDREDTHS;

const highest = (high: number) => () => ({ low: 0, high });

const withPlan = (lease: LeaseDeal, change: Partial<LeaseDeal["plan"]>): LeaseDeal => ({
  ...lease,
  plan: { ...lease.plan, ...change },
});

/** A percent that is found is of the list price where there is one. */
const percentOfWhat = ({ listPrice }: LeaseDeal) => (listPrice === null ? "price" : "listPrice");

/** Every figure of a lease that is searched for; a number of payments is looked for one by one. */
const FINDERS: Record<Searched, Finder<LeaseDeal>> = {
  price: { name: LEASE_NAMES.price, range: anyAmount, fill: fillStructure.price },
  down: { name: LEASE_NAMES.down, range: anyAmount, fill: fillStructure.down },
  allowance: { name: LEASE_NAMES.allowance, range: anyAmount, fill: fillStructure.allowance },
  residual: {
    name: LEASE_NAMES.residual,
    range: anyAmount,
    fill: (lease, amount) => withPlan(lease, { residual: { amount } }),
  },
  residualPercent: {
    name: LEASE_NAMES.residualPercent,
    range: highest(HIGHEST_RESIDUAL_PERCENT),
    fill: (lease, hundredths) =>
      withPlan(lease, { residual: { percent: placesText(hundredths, 2), of: percentOfWhat(lease) } }),
  },
  moneyFactor: {
    name: LEASE_NAMES.moneyFactor,
    range: highest(Math.floor((HIGHEST_YEARLY_RATE / PERCENT_OF_FACTOR) * 10 ** RATE_PLACES)),
    fill: (lease, whole) => withPlan(lease, { moneyFactor: placesText(whole, RATE_PLACES) }),
  },
  yearlyRate: {
    name: LEASE_NAMES.yearlyRate,
    range: highest(HIGHEST_YEARLY_RATE * 10 ** RATE_PLACES),
    fill: (lease, whole) => withPlan(lease, { yearlyRate: placesText(whole, RATE_PLACES) }),
  },
};

const MEASURES: Record<LeaseKnown, (lease: LeaseDeal, priced: PricedLease) => number> = {
  payment: (_, { base, found }) => base + found.tax,
  basePayment: (_, { base }) => base,
  dueAtSigning: (lease, { terms, found }) => dueBesidesCash(lease, terms, found) + found.cash,
  totalIfReturned: (lease, priced) => totalOf(lease, priced) + lease.plan.dispositionFee,
  totalIfBought: (lease, priced) => {
    const { plan } = lease;
    const price = priced.found.residual + plan.purchaseFee;
    return totalOf(lease, priced) + price + purchaseTax(plan.taxes, price);
  },
};

/** What leaves the customer's pocket, whatever becomes of the vehicle. */
function totalOf(lease: LeaseDeal, priced: PricedLease): number {
  return priced.spent(lease) + priced.found.equity;
}

/**
 * A lease with its figure filled in, from its payment or from a figure of the result.
 *
 * Amounts are whole, and the last on the right side of the figure that they are found from; a rate and a factor are the
 * roundest that give the same; a number of payments is the fewest at or under a payment, the most that a total allows.
 *
 * @param lease nothing else of it is missing
 * @returns the lease that asks for its payment, or a failure with the reason
 */
export function findLease(lease: LeaseDeal): Result<LeaseDeal> {
  const { find, from, plan } = lease;
  if (find === "payment") return success(lease);
  const known = from?.figure ?? "payment";
  const asked = from?.value ?? plan.payment ?? 0;
  const contradicted = contradiction(lease);
  if (contradicted) return { ok: false, failure: contradicted };
  const measure = (candidate: LeaseDeal) => {
    const priced = priceLease({ ...candidate, find: "payment" });
    return priced.ok ? MEASURES[known](candidate, priced.value) : undefined;
  };
  const found =
    find === "payments" ? findTerm(lease, known, asked, measure) : search(lease, find, known, asked, measure);
  if (!found.ok) return found;
  const { from: _, ...rest } = found.value;
  return success({ ...rest, find: "payment" });
}

type Measure = (candidate: LeaseDeal) => number | undefined;

function contradiction({ find, structure, from, plan }: LeaseDeal): Failure | undefined {
  if (from && plan.payment !== null)
    return {
      figure: "payment",
      sentence: "The payment is given, and so is another figure to find from; leave one out.",
    };
  if (find === "down" && isDownFromDue(structure.down))
    return { figure: "down", sentence: "The cash follows from the sum due at signing; find another figure." };
  return undefined;
}

/** Every number of payments is looked at: a payment can rise with the term where the residual is above the cost. */
function findTerm(lease: LeaseDeal, known: LeaseKnown, asked: number, measure: Measure): Result<LeaseDeal> {
  const isTotal = known === "totalIfReturned" || known === "totalIfBought";
  let best: LeaseDeal | undefined;
  let nearest = Number.POSITIVE_INFINITY;
  for (let payments = Math.max(lease.plan.inAdvance, 1); payments <= MOST_PAYMENTS; payments++) {
    const candidate = withPlan(lease, { payments });
    const at = measure(candidate);
    if (at === undefined) continue;
    nearest = Math.min(nearest, at);
    if (at > asked) continue;
    best = candidate;
    if (!isTotal) break;
  }
  return best ? success(best) : noLeaseAnswer(lease, known, asked, nearest);
}

/** What is looked for rises with the figure, or falls; within a payment that stays the same a total goes its own way. */
function search(
  lease: LeaseDeal,
  find: Searched,
  known: LeaseKnown,
  asked: number,
  measure: Measure,
): Result<LeaseDeal> {
  const { range, fill } = FINDERS[find];
  const rises = risesWith(find, known, lease, measure);
  // What cannot be is before the range where more would be needed, and beyond it where less.
  const outside = rises && CANNOT_BE_MORE.has(find) ? Number.POSITIVE_INFINITY : Number.NEGATIVE_INFINITY;
  const at = (whole: number) => measure(fill(lease, whole));
  const isRight = (whole: number) => (at(whole) ?? Number.POSITIVE_INFINITY) <= asked;
  // What was looked at last: where there is none, the least is near it.
  let tried = 0;
  const found = lastRight(
    { rises, ...range(lease, currencyDecimals(lease.currency) ?? 2), asked },
    {
      measure: whole => at(whole) ?? outside,
      last: ({ difference, from, to, sign }) => {
        const first = lastWhole(difference, from, to, 0);
        const nearest = hasTeeth(find, known)
          ? lastOfTeeth(paymentAt(lease, find, measure, { sign, outside }), x => at(sign * x), {
              first,
              from,
              to,
              width: lease.plan.payments ?? 1,
              asked,
              outside,
            })
          : first;
        tried = nearest;
        if (nearest < from || !isRight(sign * nearest)) return from - 1;
        return IS_RATE.has(find) ? nearest : lastNearby(x => isRight(sign * x), nearest, to);
      },
      none: (_, { from, to, sign }) => {
        const valid = 1 + lastWhole(x => (at(sign * x) === undefined ? -1 : 1), from, to, tried + 1);
        return noLeaseAnswer(
          lease,
          known,
          asked,
          valid > to ? Number.POSITIVE_INFINITY : (at(sign * valid) ?? 0),
        );
      },
      unbounded: (last, { to }) =>
        rises && (last === to || at(last + 1) === undefined) ? notDepending(lease, known) : undefined,
      ...(IS_RATE.has(find) && { round: whole => roundest(whole, RATE_PLACES, each => at(each) ?? -1) }),
    },
  );
  return found.ok ? success(fill(lease, found.value)) : found;
}

/** The payment at a turned number, as it rises with it. */
function paymentAt(
  lease: LeaseDeal,
  find: Searched,
  measure: Measure,
  { sign, outside }: { sign: 1 | -1; outside: number },
): (x: number) => number {
  const rises = sign > 0 === risesWith(find, "payment", lease, measure) ? 1 : -1;
  return x => {
    const priced = priceLease({ ...FINDERS[find].fill(lease, sign * x), find: "payment" });
    return priced.ok ? rises * (priced.value.base + priced.value.found.tax) : outside;
  };
}

const IS_RATE: ReadonlySet<Searched> = new Set(["moneyFactor", "yearlyRate"]);

/** The figures of which too much leaves no lease; of the others it is too little. */
const CANNOT_BE_MORE: ReadonlySet<Searched> = new Set(["down", "allowance", "residual", "residualPercent"]);

/** A residual between these shares of the price is seldom impossible. */
const SHARES = [1000, 4000];

/** A higher residual costs more to buy; where what is taxed of the payments is not taxed at the purchase, it may cost less. */
function boughtRisesWith(find: "residual" | "residualPercent", lease: LeaseDeal, measure: Measure): boolean {
  const price = lease.structure.price ?? 0;
  const [low, high] = SHARES.map(hundredths =>
    measure(
      FINDERS[find].fill(lease, find === "residual" ? Math.round((price * hundredths) / 10_000) : hundredths),
    ),
  );
  return low === undefined || high === undefined || high >= low;
}

/** Whether a known figure rises with the one that is found. */
function risesWith(find: Searched, known: LeaseKnown, lease: LeaseDeal, measure: Measure): boolean {
  const { plan } = lease;
  switch (find) {
    case "price":
    case "moneyFactor":
    case "yearlyRate":
      return true;
    case "down":
      return known === "dueAtSigning" && !dueFallsWithCash(lease, leaseTerms(lease.plan));
    case "allowance":
      return false;
    case "residual":
    case "residualPercent": {
      if (known === "totalIfBought") return boughtRisesWith(find, lease, measure);
      if (plan.reckoning === "levelYield") return false;
      // A residual lowers the depreciation of a payment, and raises its rent.
      return Number(plan.moneyFactor) * (plan.payments ?? 0) > 1;
    }
  }
}

/** Where a figure counts besides the payments, which move against it by their step. */
function hasTeeth(find: Searched, known: LeaseKnown): boolean {
  if (find === "down" && known === "dueAtSigning") return true;
  if (find === "down" || find === "allowance")
    return known === "totalIfReturned" || known === "totalIfBought";
  return (find === "residual" || find === "residualPercent") && known === "totalIfBought";
}

/** Roundings of taxes and fees can put the lowest of some stretches out of order: so many are looked at past the last. */
const STRETCHES_LOOKED_PAST = 8;
const NUMBERS_LOOKED_PAST = 64;
const MOST_STRETCHES = 256;

/**
 * The last number on the right side of a total that goes up and down as the payment moves by its step: of each stretch of
 * numbers with the same payment the lowest end is looked at.
 */
function lastOfTeeth(
  paymentAt: (x: number) => number,
  at: (x: number) => number | undefined,
  {
    first,
    from,
    to,
    width,
    asked,
    outside,
  }: { first: number; from: number; to: number; width: number; asked: number; outside: number },
): number {
  const endsOf = (x: number) => {
    const payment = paymentAt(x);
    const start = 1 + lastWhole(each => (paymentAt(each) < payment ? -1 : 1), from, x, x - width);
    const end = lastWhole(each => (paymentAt(each) <= payment ? -1 : 1), x, to, x + width);
    return { start, end };
  };
  const isRight = (x: number) => (at(x) ?? outside) <= asked;
  const lowestIsRight = (x: number) => {
    if (at(x) === undefined) return outside < 0;
    const { start, end } = endsOf(x);
    return isRight(start) || isRight(end);
  };
  let x = lastWhole(each => (lowestIsRight(each) ? -1 : 1), from, to, first);
  // Of its stretch the lowest is right; it may not be.
  let held = isRight(x) ? x : from - 1;
  let past = 0;
  const isNear = () => past <= STRETCHES_LOOKED_PAST || x - held <= NUMBERS_LOOKED_PAST;
  for (let stretch = 0; stretch < MOST_STRETCHES && x >= from && x <= to && isNear(); stretch++) {
    const { start, end } = endsOf(x);
    past += 1;
    if (isRight(end)) [held, past] = [end, 0];
    else if (isRight(start)) {
      const last = lastWhole(each => (isRight(each) ? -1 : 1), start, end, start);
      if (last > held) [held, past] = [last, 0];
    }
    x = end + 1;
  }
  return held;
}
