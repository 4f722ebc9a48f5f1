import { nominalRate } from "../interest";
import { failure, type Result, success } from "../result";
import { bracketedRoot, type Sloped } from "../solve";
import type { Amounts } from "./number-of-payments";
import type { TimeValue } from "./time-value";

/**
 * The nominal yearly rate at which the three amounts are worth nothing together: the nearest to zero where there are two.
 *
 * Solved in the logarithm of a period's growth, in which the worth can be told for every rate above −100 % a period. The
 * amounts change their direction once or twice along the term. Once: there is one rate. Twice: there are two or none,
 * and which of it shows where what goes one way is worth least beside what goes the other.
 *
 * @returns percent a year, right to about 12 digits; or a failure where no rate fits
 */
export function yearlyRateOf(amounts: Amounts, payments: number, plan: TimeValue): Result<number> {
  const flow = plan.timing === "advance" ? inAdvance(amounts, payments) : inArrears(amounts, payments);
  const [first, ...others] = flow.filter(({ amount }) => amount !== 0).map(({ amount }) => Math.sign(amount));
  // Where all money moves at once and comes to nothing, any rate does: the nearest to zero is none.
  if (first === undefined && (amounts.presentValue !== 0 || amounts.futureValue !== 0)) return success(0);
  const given = Object.values(amounts).map(Math.sign);
  if (first === undefined || !(given.includes(1) && given.includes(-1))) {
    return failure(
      "yearlyRate",
      "No rate takes these amounts into each other; one of them has to be received and another paid.",
    );
  }
  const changes = [first, ...others].filter((sign, index, signs) => index > 0 && sign !== signs[index - 1]);
  const growth =
    changes.length === 0 ? undefined : changes.length === 1 ? onlyRoot(flow) : nearerRoot(flow, first);
  if (growth === undefined) {
    const more = first > 0 ? "received" : "paid";
    return failure(
      "yearlyRate",
      `No rate takes these amounts into each other: at every rate more is ${more}; change one of them.`,
    );
  }
  return success(100 * nominalRate(Math.expm1(growth), plan.frequency, plan.compounding ?? "payments"));
}

/** The same amount at the end of some periods in a row, the first of them `from`; above zero where it is received. */
type Stretch = { amount: number; from: number; count: number };

function inArrears({ presentValue, payment, futureValue }: Amounts, payments: number): Stretch[] {
  return [
    { amount: presentValue, from: 0, count: 1 },
    { amount: payment, from: 1, count: payments - 1 },
    { amount: payment + futureValue, from: payments, count: 1 },
  ].filter(({ count }) => count > 0);
}

function inAdvance({ presentValue, payment, futureValue }: Amounts, payments: number): Stretch[] {
  return [
    { amount: presentValue + payment, from: 0, count: 1 },
    { amount: payment, from: 1, count: payments - 1 },
    { amount: futureValue, from: payments, count: 1 },
  ].filter(({ count }) => count > 0);
}

/** No amounts of ours lie further apart than a growth of this logarithm a period. */
const WIDEST = 64;

/** What flows are worth, and how that changes with the growth, where both ways are weighed by what is larger. */
function worthAt(flow: readonly Stretch[], growth: number): { value: number; slope: number; moved: number } {
  const last = flow.at(-1)?.from ?? 0;
  // Worth at the start where money grows, at the end where it shrinks: no power is beyond numbers.
  const at = growth >= 0 ? 0 : last;
  let [value, slope, moved] = [0, 0, 0];
  for (const { amount, from, count } of flow) {
    // Counted from the end of the stretch that is worth most.
    const [anchor, away] = growth >= 0 ? [from - at, 1] : [from - at + count - 1, -1];
    const { sum, steps } = powers(Math.abs(growth), count);
    const each = Math.exp(-growth * anchor);
    value += amount * each * sum;
    slope -= amount * each * (anchor * sum + away * steps);
    moved += Math.abs(amount) * each * sum;
  }
  return { value, slope, moved };
}

const NEXT_TO_NONE = 1e-6;

/** The sum of the first powers of e^−h, from the power 0 on, and the same with each times its power. */
function powers(h: number, count: number): { sum: number; steps: number } {
  if (count === 1) return { sum: 1, steps: 0 };
  if (h === 0) return { sum: count, steps: (count * (count - 1)) / 2 };
  const sum = Math.expm1(-h * count) / Math.expm1(-h);
  if (h * count < NEXT_TO_NONE) return { sum, steps: (count * (count - 1)) / 2 };
  const steps = (Math.exp(-h) * sum - count * Math.exp(-h * count)) / -Math.expm1(-h);
  return { sum, steps };
}

/** The one growth at which flows are worth nothing that change their direction once. */
function onlyRoot(flow: readonly Stretch[]): number | undefined {
  return rootBetween(flow, -WIDEST, WIDEST);
}

function nearerRoot(flow: readonly Stretch[], outer: number): number | undefined {
  const lowest = whereLeast(growth => {
    const { value, moved } = worthAt(flow, growth);
    return (outer * value) / moved;
  });
  if (outer * worthAt(flow, lowest).value > 0) return undefined;
  const roots = [rootBetween(flow, -WIDEST, lowest), rootBetween(flow, lowest, WIDEST)];
  return roots
    .filter(root => root !== undefined)
    .sort((a, b) => Math.abs(Math.expm1(a)) - Math.abs(Math.expm1(b)))[0];
}

const GOLDEN = (Math.sqrt(5) - 1) / 2;
const NARROW = 1e-12;

/** Where a function that falls and then rises is least. */
function whereLeast(f: (growth: number) => number): number {
  let [low, high] = [-WIDEST, WIDEST];
  while (high - low > NARROW * Math.max(1, Math.abs(low))) {
    const [left, right] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (f(left) <= f(right)) high = right;
    else low = left;
  }
  return (low + high) / 2;
}

/** The root between two growths on either side of it. */
function rootBetween(flow: readonly Stretch[], low: number, high: number): number | undefined {
  const rises = Math.sign(worthAt(flow, high).value);
  if (rises === 0) return high;
  if (Math.sign(worthAt(flow, low).value) === rises) return undefined;
  const rising: Sloped = growth => {
    const { value, slope } = worthAt(flow, growth);
    return { value: value * rises, slope: slope * rises };
  };
  return bracketedRoot(rising, { low, high, guess: Math.min(Math.max(low, 0), high) });
}
