import { currencyDecimals } from "@/core";
import type { Notation } from "@/exchange/notation";

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

/** The term of some payments in words: 130 two-weekly ones are "5 years", 70 monthly ones "5 years 10 months". */
export function termText(payments: number, perYear: number): string {
  const months = (payments * 12) / perYear;
  return Number.isInteger(months) ? yearsText(months) : `${(payments / perYear).toFixed(2)} years`;
}

/** A term in words: 72 is "6 years", 70 is "5 years 10 months". */
export function yearsText(inMonths: number): string {
  const years = Math.floor(inMonths / 12);
  const months = inMonths % 12;
  const parts = [
    years > 0 ? `${years} ${years === 1 ? "year" : "years"}` : "",
    months > 0 ? `${months} ${months === 1 ? "month" : "months"}` : "",
  ];
  return parts.filter(Boolean).join(" ");
}
