import { currencyDecimals } from "@/core";
import type { Notation } from "./notation";

const NO_BREAK_SPACE = "\u00a0";
const symbolFormats = new Map<string, Intl.NumberFormat>();

/** Minor units with the currency's symbol, where the place puts it: "$41,850.00", "41.850,00 €". */
export function moneyText(minor: number, currency: string, { locale }: Notation): string {
  const decimals = currencyDecimals(currency) ?? 2;
  let format = symbolFormats.get(`${locale} ${currency}`);
  if (!format) {
    format = new Intl.NumberFormat(locale, {
      style: "currency",
      currency,
      currencyDisplay: "narrowSymbol",
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
    });
    symbolFormats.set(`${locale} ${currency}`, format);
  }
  // Which space parts groups differs from one browser to the next.
  return format.format(minor / 10 ** decimals).replace(/\s/g, NO_BREAK_SPACE);
}
