import { currencyDecimals, groupedAmount, parseAmount } from "@/core";

/** Minor units for a column of figures: "41,850.00". */
export function amountText(minor: number, currency: string): string {
  return groupedAmount(minor, currencyDecimals(currency) ?? 2);
}

/** An amount as it is typed or filed, be it below 0, for a column of figures; text that is no amount stays as it is. */
export function typedAmountText(typed: string | number, currency: string): string {
  const text = String(typed);
  if (text.startsWith("-")) return `−${typedAmountText(text.slice(1), currency)}`;
  const minor = parseAmount(text, currencyDecimals(currency) ?? 2);
  return minor === undefined ? text : amountText(minor, currency);
}
