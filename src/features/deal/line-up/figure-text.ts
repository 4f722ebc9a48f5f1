import { currencyDecimals, formatAmount } from "@/core";
import {
  amountIn,
  dateIn,
  inNotation,
  type Notation,
  spreadsheetAmount,
  spreadsheetDate,
} from "@/exchange/notation";
import type { Figure } from "./line-up";

/** A figure of a row as it is read: "683.97", "6.49 %", "Dec 24, 2032". */
export function figureText(figure: Figure, currency: string, notation: Notation): string {
  switch (figure?.unit) {
    case "money":
      return amountIn(figure.minor, currency, notation);
    case "percent":
      return `${inNotation(figure.text, notation)} %`;
    case "date":
      return dateIn(figure.day, notation);
    case "words":
      return inNotation(figure.text, notation);
    default:
      return "–";
  }
}

/** A difference with its sign: "+ 1,200.00", "− 0.3". */
export function differenceText(figure: Figure, currency: string, notation: Notation): string {
  if (figure?.unit === "money") {
    return `${figure.minor < 0 ? "−" : "+"} ${amountIn(Math.abs(figure.minor), currency, notation)}`;
  }
  if (figure?.unit !== "percent") return "";
  return `${figure.percent < 0 ? "−" : "+"} ${inNotation(figure.text, notation)}`;
}

/** A figure as a spreadsheet of the place reads it. */
export function spreadsheetText(figure: Figure, currency: string, notation: Notation): string {
  if (figure === null) return "";
  const decimals = currencyDecimals(currency) ?? 2;
  switch (figure.unit) {
    case "money":
      return spreadsheetAmount(figure.minor, decimals, notation);
    case "percent":
      return figure.text.replace(".", notation.decimal);
    case "date":
      return spreadsheetDate(figure.day, notation);
    case "words":
      return figureText(figure, currency, notation);
  }
}

/** Minor units for the scale of a chart: "40,000". */
export function wholeAmount(minor: number, currency: string, notation: Notation): string {
  const decimals = currencyDecimals(currency) ?? 2;
  const whole = formatAmount(Math.round(minor), decimals).replace(/\.0+$/, "");
  return whole.includes(".")
    ? amountIn(minor, currency, notation)
    : amountIn(minor, currency, notation).slice(0, decimals > 0 ? -decimals - 1 : undefined);
}
