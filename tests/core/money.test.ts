import { currencyDecimals, formatAmount, groupedAmount, parseAmount } from "@/core";
import { decimalText, roundFraction, roundWhenSure } from "@/core/money";
import { fixedRatio } from "@/core/precise";

test.each<[string, number, number | undefined]>([
  ["41850", 2, 4_185_000],
  ["41850.5", 2, 4_185_050],
  ["0.005", 2, undefined],
  ["0.050", 2, 5],
  ["12.345", 3, 12_345],
  ["12.5", 0, undefined],
  ["1000000000", 2, 100_000_000_000],
  ["1000000000.01", 2, undefined],
  ["-1", 2, undefined],
  ["1,000", 2, undefined],
  ["1e3", 2, undefined],
  ["", 2, undefined],
])("reads %j with %i decimals as %p", (text, decimals, minor) => {
  expect(parseAmount(text, decimals)).toBe(minor);
});

test("writes amounts for programs and for people", () => {
  expect(formatAmount(5, 2)).toBe("0.05");
  expect(formatAmount(-4_185_050, 2)).toBe("-41850.50");
  expect(formatAmount(1200, 0)).toBe("1200");
  expect(groupedAmount(-123_456_789, 2)).toBe("−1,234,567.89");
  expect(groupedAmount(1_234_567, 3)).toBe("1,234.567");
});

test("currencies have the decimals of ISO 4217", () => {
  expect(["USD", "JPY", "KWD", "EUR", "ISK"].map(currencyDecimals)).toEqual([2, 0, 3, 2, 0]);
  expect(currencyDecimals("XQZ")).toBeUndefined();
});

test("rounds ties up, and up and down to the next whole number", () => {
  const half = { numerator: 5n, denominator: 2n };
  expect(roundFraction(half, "nearest")).toBe(3);
  expect(roundFraction(half, "up")).toBe(3);
  expect(roundFraction(half, "down")).toBe(2);
  expect(roundFraction({ numerator: 4n, denominator: 2n }, "up")).toBe(2);
});

test("asks for the exact value only in close calls, and follows it", () => {
  const never = () => {
    throw new Error("must not be asked");
  };
  expect(roundWhenSure(2.4999, 1e-9, "nearest", never)).toBe(2);
  expect(roundWhenSure(2.0001, 1e-9, "up", never)).toBe(3);
  // The float says a tie; the exact value is a hair below it.
  const justBelow = fixedRatio(2_499_999_999_999_999_999n, 1_000_000_000_000_000_000n);
  expect(roundWhenSure(2.5, 1e-9, "nearest", () => justBelow)).toBe(2);
  expect(roundWhenSure(3, 1e-9, "down", () => fixedRatio(29_999n, 10_000n))).toBe(2);
});

test("shows unrounded figures with a marked tail", () => {
  expect(decimalText({ numerator: 649n, denominator: 1200n }, 6)).toBe("0.540833…");
  expect(decimalText({ numerator: 123_450n, denominator: 100n }, 6)).toBe("1,234.5");
  expect(decimalText({ numerator: 3n, denominator: 1n }, 4)).toBe("3");
});
