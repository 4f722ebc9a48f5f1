import { levelRate } from "../annuity";
import { type Frequency, periodsPerYear } from "../calendar";
import { type Compounding, compoundingsPerYear } from "../interest";
import { MOST_PAYMENTS, wholeText } from "../limits";
import { failure, type Result, success } from "../result";

/** How often a nominal rate adds interest. */
export type NominalCompounding = Exclude<Compounding, "payments" | "continuous">;

/** A way to state a rate, without its figure. */
export type RateKind =
  /** Percent a year, of which each compounding adds its share. */
  | { kind: "nominal"; compounding: NominalCompounding }
  /** Percent that a whole year adds. */
  | { kind: "effective" }
  /** Percent that one period adds. */
  | { kind: "periodic"; frequency: Frequency }
  /** Percent a year, added without pause. */
  | { kind: "continuous" }
  /** A lease's: the monthly rate on half of what is financed and left, as a fraction. */
  | { kind: "moneyFactor" }
  /** Percent a year on the original amount for the whole term of so many level payments. */
  | { kind: "flat"; frequency: Frequency; payments: number };

/** A money factor times this is a nominal yearly percent: 12 months, halved, in percent. */
export const MONEY_FACTOR_TO_PERCENT = 2400;

/**
 * States a rate another way.
 *
 * All ways meet in the logarithm of a year's growth: `1 + effective = (1 + nominal/m)^m = (1 + periodic)^p =
 * e^continuous`; a money factor is nominal and monthly, over 2,400; a flat rate is the one whose level
 * payments `(1 + flat × years) ÷ n` are worth what was lent at its true periodic rate.
 *
 * @param figure percent, or the factor of a money factor
 * @param from how it is stated
 * @param to how to state it
 * @returns the figure, right to about 12 digits; a failure where a rate of −100 % or below is met, or the number
 *   of payments cannot be
 * @example convertRate(12, { kind: "nominal", compounding: "monthly" }, { kind: "effective" }).value // 12.682503…
 */
export function convertRate(figure: number, from: RateKind, to: RateKind): Result<number> {
  for (const side of [from, to]) {
    if (side.kind !== "flat") continue;
    if (!Number.isInteger(side.payments) || side.payments < 1 || side.payments > MOST_PAYMENTS) {
      return failure(
        "payments",
        `A flat rate over ${side.payments} payments is not possible; it must be a whole number from 1 to ${wholeText(MOST_PAYMENTS)}.`,
      );
    }
  }
  const growth = logGrowthOf(figure, from);
  if (growth === undefined || !Number.isFinite(growth)) {
    return failure(
      "yearlyRate",
      `A rate of ${figure} stated so takes all that was lent, or more; it must be higher.`,
    );
  }
  return success(figureOf(growth, to));
}

/** The logarithm of what a year makes of 1; undefined where nothing, or less, is left. */
function logGrowthOf(figure: number, rate: RateKind): number | undefined {
  switch (rate.kind) {
    case "nominal": {
      const perYear = compoundingsPerYear(rate.compounding);
      return logOfOnePlus(figure / 100 / perYear, perYear);
    }
    case "effective":
      return logOfOnePlus(figure / 100, 1);
    case "periodic":
      return logOfOnePlus(figure / 100, periodsPerYear(rate.frequency));
    case "continuous":
      return figure / 100;
    case "moneyFactor":
      return logOfOnePlus((figure * MONEY_FACTOR_TO_PERCENT) / 1200, 12);
    case "flat": {
      const { frequency, payments } = rate;
      const perYear = periodsPerYear(frequency);
      const payment = (1 + ((figure / 100) * payments) / perYear) / payments;
      const periodic = levelRate({ lent: 1, payment, count: payments, last: 0, lastAfter: payments });
      return periodic === undefined ? undefined : logOfOnePlus(periodic, perYear);
    }
  }
}

function logOfOnePlus(each: number, perYear: number): number | undefined {
  return each > -1 ? perYear * Math.log1p(each) : undefined;
}

function figureOf(growth: number, rate: RateKind): number {
  const each = (perYear: number) => Math.expm1(growth / perYear);
  switch (rate.kind) {
    case "nominal": {
      const perYear = compoundingsPerYear(rate.compounding);
      return 100 * perYear * each(perYear);
    }
    case "effective":
      return 100 * each(1);
    case "periodic":
      return 100 * each(periodsPerYear(rate.frequency));
    case "continuous":
      return 100 * growth;
    case "moneyFactor":
      return (1200 * each(12)) / MONEY_FACTOR_TO_PERCENT;
    case "flat": {
      const { frequency, payments } = rate;
      const perYear = periodsPerYear(frequency);
      // n ÷ annuity − 1 without its places lost where there is next to no interest.
      const i = each(perYear);
      const lost = -Math.expm1((-payments * growth) / perYear);
      const charge = i === 0 ? 0 : (payments * i - lost) / lost;
      return (100 * charge * perYear) / payments;
    }
  }
}
