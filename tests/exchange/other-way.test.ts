import { notationOf } from "@/exchange/notation";
import { typedOtherWay } from "@/exchange/typing";

test.each([
  ["en-US", "6,49", "6.49"],
  ["en-US", "6,4900", "6.4900"],
  ["en-US", "41.850,00", "41,850.00"],
  ["en-US", "€ 1 041 850,5", "1,041,850.5"],
  ["en-US", "1.041.850", "1,041,850"],
  ["en-US", "41 850,00", "41,850.00"],
  ["en-US", "6,49 %", "6.49"],
  // These may be thousands, or are written as here.
  ["en-US", "6,490", undefined],
  ["en-US", "41,850.00", undefined],
  ["en-US", "41.850", undefined],
  ["en-US", "6,4x", undefined],
  ["de-DE", "1,000.00", "1.000,00"],
  ["de-DE", "41.850,00", undefined],
  ["fr-CA", "1,000.00", "1\u00a0000,00"],
  ["en-IN", "12.34.567,00", undefined],
  ["en-IN", "1.234.567,00", "12,34,567.00"],
] as const)("in %s, “%s” can only be %s", (locale, typed, meant) => {
  expect(typedOtherWay(typed, notationOf(locale))).toBe(meant);
});
