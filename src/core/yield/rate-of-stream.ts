import { bracketedRoot, rateBracket, simpleGuess } from "../solve";

/** One advance, and payments one period apart. */
export type Stream = {
  /** Above zero. */
  advance: number;
  /** 0 or more each. */
  payments: readonly number[];
  /** Whole periods and the odd part of one from the advance to the first payment. */
  firstPeriods: number;
  firstPart: number;
};

/**
 * The rate of one period at which evenly spaced payments are worth an advance: what {@link rateOfFlows} gives for
 * them, without making a list of flows.
 *
 * @param stream advance and payments in one unit
 * @param oddPart whether the odd part of a period counts at simple interest or compounds
 * @returns the rate as a fraction above −1, or undefined where none fits
 * @example rateOfStream({ advance: 1000, payments: [0, 1210], firstPeriods: 1, firstPart: 0 }, "simple") // 0.1
 */
export function rateOfStream(stream: Stream, oddPart: "simple" | "compound"): number | undefined {
  const { advance, payments, firstPeriods, firstPart } = stream;
  const worth = (rate: number) => worthOfStream(stream, oddPart, rate);
  let [paid, weighted] = [0, 0];
  for (let k = 0; k < payments.length; k++) {
    const payment = payments[k] ?? 0;
    paid += payment;
    weighted += payment * (firstPeriods + firstPart + k);
  }
  const bracket = rateBracket(rate => worth(rate).value, simpleGuess(advance, paid, weighted));
  return bracket && bracketedRoot(worth, bracket);
}

/** Advance less payments at a rate, with its slope: the payments by Horner's scheme in the discount. */
function worthOfStream(
  { advance, payments, firstPeriods, firstPart }: Stream,
  oddPart: "simple" | "compound",
  rate: number,
): { value: number; slope: number } {
  const discount = 1 / (1 + rate);
  let sum = 0;
  let sumSlope = 0;
  for (let k = payments.length - 1; k >= 0; k--) {
    sumSlope = sumSlope * discount + sum;
    sum = sum * discount + (payments[k] ?? 0);
  }
  const isSimple = oddPart === "simple";
  const whole = isSimple ? firstPeriods : firstPeriods + firstPart;
  const odd = isSimple ? 1 / (1 + firstPart * rate) : 1;
  const lead = discount ** whole * odd;
  const leadFall = whole * discount + (isSimple ? firstPart * odd : 0);
  return {
    value: advance - lead * sum,
    slope: lead * (leadFall * sum + sumSlope * discount * discount),
  };
}
