import { bracketedRoot, rateBracket, type Sloped } from "../solve";

/** Equal payments in a row, one period apart. */
export type Stretch = { amount: number; count: number };

/** One advance, and payments one period apart. */
export type Stream = {
  /** Above zero. */
  advance: number;
  /** 0 or more each. */
  payments: readonly Stretch[];
  /** Whole periods and the odd part of one from the advance to the first payment. */
  firstPeriods: number;
  firstPart: number;
};

// Rates are shown to ten decimals of a percent at most.
const NEAR = 1e-13;
const NARROW = 1e-3;

/**
 * The rate of one period at which evenly spaced payments are worth an advance: what {@link rateOfFlows} gives for
 * them, with each stretch of equal payments valued by one formula.
 *
 * @param stream advance and payments in one unit
 * @param oddPart whether the odd part of a period counts at simple interest or compounds
 * @param guess a rate near the answer
 * @returns the rate as a fraction above −1, or undefined where none fits
 * @example
 * rateOfStream({ advance: 1000, payments: [{ amount: 1100, count: 1 }], firstPeriods: 1, firstPart: 0 }, "simple", 0.1)
 * // 0.1
 */
export function rateOfStream(
  stream: Stream,
  oddPart: "simple" | "compound",
  guess: number,
): number | undefined {
  const worth = (rate: number) => worthOfStream(stream, oddPart, rate);
  const near = nearRoot(worth, guess);
  if (near !== undefined) return near;
  const bracket = rateBracket(rate => worth(rate).value, guess, Math.abs(guess) * NARROW);
  return bracket && bracketedRoot(worth, bracket, NEAR);
}

const MOST_STEPS = 5;

/**
 * The root where Newton's steps lead to it at once. Payments of 0 or more are worth less the higher the rate, so that a
 * root they lead to is the only one.
 */
function nearRoot(f: Sloped, guess: number): number | undefined {
  let x = guess;
  for (let step = 0; step < MOST_STEPS; step++) {
    const { value, slope } = f(x);
    const next = x - value / slope;
    if (!(next > -1 && next < Number.POSITIVE_INFINITY)) return undefined;
    if (Math.abs(next - x) <= NEAR * Math.abs(next)) return next;
    x = next;
  }
  return undefined;
}

/** Advance less payments at a rate, with its slope: the stretches by Horner's scheme in the discount. */
function worthOfStream(
  { advance, payments, firstPeriods, firstPart }: Stream,
  oddPart: "simple" | "compound",
  rate: number,
): { value: number; slope: number } {
  const discount = 1 / (1 + rate);
  let sum = 0;
  // How the sum changes with the discount.
  let sumSlope = 0;
  for (let index = payments.length - 1; index >= 0; index--) {
    const { amount, count } = payments[index] as Stretch;
    if (count === 1) {
      sumSlope = sumSlope * discount + sum;
      sum = sum * discount + amount;
      continue;
    }
    const { past, due, dueSlope } = stretchWorth(count, rate, discount);
    sumSlope = sumSlope * past + sum * count * (past / discount) + amount * dueSlope;
    sum = sum * past + amount * due;
  }
  const isSimple = oddPart === "simple";
  const whole = isSimple ? firstPeriods : firstPeriods + firstPart;
  const odd = isSimple ? 1 / (1 + firstPart * rate) : 1;
  const lead = (whole === 1 ? discount : discount ** whole) * odd;
  const leadFall = whole * discount + (isSimple ? firstPart * odd : 0);
  return {
    value: advance - lead * sum,
    slope: lead * (leadFall * sum + sumSlope * discount * discount),
  };
}

/** Payments of 1, the first at once: their worth, its change with the discount, and the worth of 1 after them. */
function stretchWorth(count: number, rate: number, discount: number) {
  // Next to no rate at all the formula loses its places; its series does not.
  if (Math.abs(rate) < 1e-9) {
    const steps = (count * (count - 1)) / 2;
    return { past: 1 - count * rate, due: count - steps * rate, dueSlope: steps };
  }
  const fall = -count * Math.log1p(rate);
  const lost = -Math.expm1(fall);
  // A large last payment needs all places of a small worth.
  const past = lost < 0.5 ? 1 - lost : Math.exp(fall);
  const off = rate * discount;
  const due = lost / off;
  return { past, due, dueSlope: (due - (count * past) / discount) / off };
}
