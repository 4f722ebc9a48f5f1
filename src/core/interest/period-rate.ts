import { type Ratio, ratio } from "../calendar";
import { exponential, type Fixed, fixedRatio, logarithm, ONE, power, times } from "../precise";
import { type Compounding, compoundingsPerYear } from "./compounding";
import type { Decimal } from "./decimal";

/**
 * The rate of one period, as a fraction of what is owed: the float right to a relative 1e-15, and the
 * number to 4,096 places where a tie has to be decided.
 */
export type PeriodRate = { value: number; precise: () => Fixed };

/** No interest at all. */
export const NO_RATE: PeriodRate = { value: 0, precise: () => 0n };

/** A period's rate that is a fraction of whole numbers. */
export function rationalRate(rate: Ratio): PeriodRate {
  return {
    value: rate.numerator / rate.denominator,
    precise: () => fixedRatio(BigInt(rate.numerator), BigInt(rate.denominator)),
  };
}

/**
 * The rate of a period that is some part of a year.
 *
 * Compounding at each payment: the yearly rate j times the period in years. Compounding m times a year:
 * `(1 + j/m)^(m·years) − 1`. Continuous: `e^(j·years) − 1`.
 *
 * @param yearlyRate nominal yearly rate j in percent, as typed
 * @param years length of the period in years
 * @param compounding how often interest is added
 * @example periodRate({ digits: 6, scale: 1 }, { numerator: 1, denominator: 12 }, "payments").value // 0.005
 */
export function periodRate({ digits, scale }: Decimal, years: Ratio, compounding: Compounding): PeriodRate {
  if (compounding === "payments") return scaledRate(digits, 100 * scale, years);
  if (digits === 0) return NO_RATE;
  if (compounding === "continuous") return continuousRate(digits, 100 * scale, years);
  const perYear = compoundingsPerYear(compounding);
  const compoundings = ratio(perYear * years.numerator, years.denominator);
  const each = digits / (100 * scale * perYear);
  if (compoundings.numerator === compoundings.denominator) {
    return scaledRate(digits, 100 * scale * perYear, { numerator: 1, denominator: 1 });
  }
  return remembered(
    Math.expm1((compoundings.numerator / compoundings.denominator) * Math.log1p(each)),
    () => preciseGrowth(digits, 100 * scale * perYear, compoundings) - ONE,
  );
}

/** A simple rate `digits / scale` for some years or periods, in lowest terms so that the float is near. */
function scaledRate(digits: number, scale: number, { numerator, denominator }: Ratio): PeriodRate {
  return {
    value: (digits * numerator) / (scale * denominator),
    precise: () => fixedRatio(BigInt(digits) * BigInt(numerator), BigInt(scale) * BigInt(denominator)),
  };
}

function continuousRate(digits: number, scale: number, { numerator, denominator }: Ratio): PeriodRate {
  return remembered(
    Math.expm1((digits * numerator) / (scale * denominator)),
    () =>
      exponential(fixedRatio(BigInt(digits) * BigInt(numerator), BigInt(scale) * BigInt(denominator))) - ONE,
  );
}

function preciseGrowth(digits: number, scale: number, compoundings: Ratio): Fixed {
  const growth = ONE + fixedRatio(BigInt(digits), BigInt(scale));
  const whole = Math.floor(compoundings.numerator / compoundings.denominator);
  const rest = compoundings.numerator - whole * compoundings.denominator;
  const wholeGrowth = power(growth, whole);
  if (rest === 0) return wholeGrowth;
  const part = (logarithm(growth) * BigInt(rest)) / BigInt(compoundings.denominator);
  return times(wholeGrowth, exponential(part));
}

/** A rate whose precise value is worked out once, when it is first needed. */
export function remembered(value: number, compute: () => Fixed): PeriodRate {
  let known: Fixed | undefined;
  return {
    value,
    precise: () => {
      known ??= compute();
      return known;
    },
  };
}

/**
 * Simple interest for some periods at a period's rate: the rate times the periods.
 *
 * @example
 * // for 44 days of a 30-day month
 * simpleRate(rationalRate({ numerator: 1, denominator: 200 }), { numerator: 44, denominator: 30 }).value // 0.00733333…
 */
export function simpleRate(rate: PeriodRate, { numerator, denominator }: Ratio): PeriodRate {
  if (numerator === denominator) return rate;
  return {
    value: (rate.value * numerator) / denominator,
    precise: () => (rate.precise() * BigInt(numerator)) / BigInt(denominator),
  };
}
