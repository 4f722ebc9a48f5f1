import { monthName } from "../text";
import type { Notation } from "./notation";

/** A point that cannot part thousands is a decimal point everywhere: "6.49", not "1.250". */
const DECIMAL_POINT = /^\D*\d+\.(\d{1,2}|\d{4,})\D*$/;
const IN_LAKHS = /(?<![\d,])\d{1,2}(?:,\d{2})*,\d{3}(?![\d,])/;

/**
 * A figure as people of a place type it, as the fields read it: with a decimal point, groups parted by commas or spaces.
 *
 * @example plainFigure("41.850,00", notationOf("de-DE")) // "41,850.00"
 */
export function plainFigure(typed: string, { decimal, group, isInLakhs }: Notation): string {
  if (isInLakhs) return typed.replace(IN_LAKHS, digits => digits.replaceAll(",", ""));
  if (decimal === ".") return typed;
  if (group !== ".") return typed.replaceAll(",", ".");
  if (DECIMAL_POINT.test(typed)) return typed;
  return typed.replace(/[.,]/g, sign => (sign === "." ? "," : "."));
}

const PARTED = /^(\d{1,2})[/.-](\d{1,2})(?:[/.-](\d{2}|\d{4}))?\.?$/;
const YEAR_FIRST = /^(\d{4})[/.-](\d{1,2})[/.-](\d{1,2})$/;

/**
 * A date of numbers as people of a place type it, as one with a month's name; any other text stays as it is. Where one of
 * two numbers cannot be a month, it is the day.
 *
 * @example plainDate("3/4/27", notationOf("en-GB")) // "3 Apr 27"
 */
export function plainDate(typed: string, { isDayFirst }: Notation): string {
  const [, yearFirst, month, day] = YEAR_FIRST.exec(typed) ?? [];
  if (yearFirst !== undefined) return named(Number(day), Number(month), yearFirst) ?? typed;
  const [, first, second, year] = PARTED.exec(typed) ?? [];
  if (first === undefined) return typed;
  const [one, two] = [Number(first), Number(second)];
  const isDayThenMonth = one > 12 || (two <= 12 && isDayFirst);
  return (isDayThenMonth ? named(one, two, year) : named(two, one, year)) ?? typed;
}

function named(day: number, month: number, year: string | undefined): string | undefined {
  const name = monthName(month).slice(0, 3);
  return name === "" ? undefined : [day, name, ...(year === undefined ? [] : [year])].join(" ");
}

/** What is searched for, with the figures in it as the fields read them. */
export function plainSearch(typed: string, notation: Notation): string {
  return typed.replace(/\S+/g, word => (/^\d[\d.,]*$/.test(word) ? plainFigure(word, notation) : word));
}
