import { civilDate, currencyDecimals, type DayNumber, formatAmount, parseIsoDate } from "@/core";
import { longDate, monthName, shortDate } from "../text";
import type { Notation } from "./notation";

const THOUSANDS = /\B(?=(\d{3})+$)/g;
const LAKHS = /\B(?=(\d{2})*\d{3}$)/g;

/** Digits in groups, as a place writes them. */
function grouped(whole: string, { group, isInLakhs }: Notation): string {
  return whole.length < 4 ? whole : whole.replace(isInLakhs ? LAKHS : THOUSANDS, group);
}

/**
 * A plain decimal without a sign, in groups.
 *
 * @example decimalIn("41850.5", notationOf("de-DE")) // "41.850,5"
 */
export function decimalIn(plain: string, notation: Notation): string {
  const point = plain.indexOf(".");
  if (point < 0) return grouped(plain, notation);
  return grouped(plain.slice(0, point), notation) + notation.decimal + plain.slice(point + 1);
}

/**
 * Minor units for a column of figures.
 *
 * @example amountIn(4185000, "USD", notationOf("de-DE")) // "41.850,00"
 */
export function amountIn(minor: number, currency: string, notation: Notation): string {
  const plain = formatAmount(Math.abs(minor), currencyDecimals(currency) ?? 2);
  return (minor < 0 ? "−" : "") + decimalIn(plain, notation);
}

const two = (part: number) => String(part).padStart(2, "0");

/** A civil date for a column: "Nov 24, 2026" in the United States, "24.11.2026" in Germany. */
export function dateIn(day: DayNumber, notation: Notation): string {
  return writtenDate(day, notation, name => name.slice(0, 3), shortDate);
}

/** A civil date within a sentence: "November 24, 2026" in the United States. */
export function longDateIn(day: DayNumber, notation: Notation): string {
  return writtenDate(day, notation, name => name, longDate);
}

function writtenDate(
  date: DayNumber,
  notation: Notation,
  named: (month: string) => string,
  dayFirst: (date: DayNumber) => string,
): string {
  const { year, month, day } = civilDate(date);
  switch (notation.date) {
    case "24 Nov 2026":
      return dayFirst(date);
    case "Nov 24, 2026":
      return `${named(monthName(month))} ${day}, ${year}`;
    case "24.11.2026":
      return `${two(day)}.${two(month)}.${year}`;
    case "2026/11/24":
      return `${year}/${two(month)}/${two(day)}`;
  }
}

const ISO = String.raw`\d{4}-\d{2}-\d{2}`;
const NAMED = String.raw`(\d{1,2}) ([A-Z][a-z]{2,8}) (\d{4})`;
const NUMBER = String.raw`\d+(?:,\d{3})*(?:\.\d+)?`;
/** What was typed is said back as it was typed. */
const QUOTED = "“[^”]*”";
const FIGURES = new RegExp(`${QUOTED}|\\b(?:(${ISO})|${NAMED})\\b|${NUMBER}`, "g");

/**
 * A text of the core or of a file's words, whose figures are written as "41,850.00" and whose dates are "24 Nov 2026" or
 * ISO 8601, with both written as a place writes them.
 *
 * @example inNotation("a price of 41,850.00 on 2026-11-24", notationOf("de-DE")) // "a price of 41.850,00 on 24.11.2026"
 */
export function inNotation(text: string, notation: Notation): string {
  return text.replace(
    FIGURES,
    (figure: string, iso?: string, day?: string, month?: string, year?: string) => {
      if (iso !== undefined) {
        const date = parseIsoDate(iso);
        return date === undefined ? figure : dateIn(date, notation);
      }
      if (day !== undefined) return namedDate(figure, day, month ?? "", year ?? "", notation);
      return /^\d.*[.,]/.test(figure) ? decimalIn(figure.replaceAll(",", ""), notation) : figure;
    },
  );
}

function namedDate(text: string, day: string, month: string, year: string, notation: Notation): string {
  for (let number = 1; number <= 12; number++) {
    const name = monthName(number);
    if (name !== month && name.slice(0, 3) !== month) continue;
    const date = parseIsoDate(`${year}-${two(number)}-${two(Number(day))}`);
    if (date === undefined) return text;
    return name === month && month.length > 3 ? longDateIn(date, notation) : dateIn(date, notation);
  }
  return text;
}
