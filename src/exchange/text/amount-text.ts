import { currencyDecimals, groupedAmount, parseAmount } from "@/core";

/** Minor units for a column of figures: "41,850.00". */
export function amountText(minor: number, currency: string): string {
  return groupedAmount(minor, currencyDecimals(currency) ?? 2);
}

/** An amount as it is typed or filed, for a column of figures; text that is no amount stays as it is. */
export function typedAmountText(typed: string | number, currency: string): string {
  const minor = parseAmount(String(typed), currencyDecimals(currency) ?? 2);
  return minor === undefined ? String(typed) : amountText(minor, currency);
}
