import { parseDecimal } from "../../interest";
import { type Fixed, fixedRatio } from "../../precise";
import { failure, type Result, success } from "../../result";

/** What money could earn elsewhere: percent that a whole year adds, and the percent of it that is taxed away, as typed. */
export type YearlyReturn = { rate: string; tax: string };

/** What money grows to in a year, after tax. */
export type ReturnAfterTax = {
  value: number;
  precise: () => Fixed;
  /** What tax leaves of a return, from 0 to 1. */
  keeps: number;
};

/**
 * What money grows to in a year at a return, after tax: `1 + r (1 − t)`.
 *
 * @param yearlyReturn a rate that can be below zero, and a tax from 0 to 100
 * @returns the growth, or a failure where it cannot be read or nothing would be left
 * @example returnAfterTax({ rate: "4.2", tax: "25" }).value.value // 1.0315
 */
export function returnAfterTax({ rate, tax }: YearlyReturn): Result<ReturnAfterTax> {
  const isLoss = rate.startsWith("-") || rate.startsWith("−");
  const read = parseDecimal(isLoss ? rate.slice(1) : rate);
  const taxed = parseDecimal(tax);
  if (!read) return failure("return", `The return ${rate} is not a percent; type one such as 4.2 or -1.`);
  if (!taxed || taxed.digits > 100 * taxed.scale)
    return failure("return", `The tax ${tax} is not a percent of the return; it can be 0 to 100.`);
  const digits = isLoss ? -read.digits : read.digits;
  const scale = 100 * read.scale;
  const keeps = BigInt(100 * taxed.scale - taxed.digits);
  const all = BigInt(100 * taxed.scale);
  const denominator = BigInt(scale) * all;
  const numerator = denominator + BigInt(digits) * keeps;
  if (numerator <= 0n)
    return failure("return", `A return of ${rate} % a year would leave nothing; it must be above −100 %.`);
  return success({
    value: Number(numerator) / Number(denominator),
    precise: () => fixedRatio(numerator, denominator),
    keeps: Number(keeps) / Number(all),
  });
}
