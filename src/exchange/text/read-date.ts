import { addMonths, civilDate, type DayNumber, dayNumber, parseIsoDate } from "@/core";
import { monthName } from "./date-text";

/** What a typed date is read beside. */
export type DateBase = {
  /** What "+3 weeks" and "24m" count from. */
  from: DayNumber;
  today: DayNumber;
  /** Whether a date without a year is the next one after `from`; else the one nearest to it. */
  isAfter: boolean;
  /** Whether a month alone, as "June 2031", is its last day; else it is no date. */
  isEnd?: boolean;
};

const STEP = /^\+?\s*(\d{1,4})\s*(d|days?|w|weeks?|m|months?|y|years?)$/i;
const DAY_THEN_MONTH = /^(\d{1,2})\.?\s*([a-z]{3,9})\.?,?(?:\s+(\d{2}|\d{4}))?$/i;
const MONTH_THEN_DAY = /^([a-z]{3,9})\.?\s*(\d{1,2}),?(?:\s+(\d{2}|\d{4}))?$/i;

/**
 * Reads a date as people type it: "24 Nov", "Nov 24, 2026", "2026-11-24", "+3 weeks", "24m", "today", "tomorrow".
 * One of numbers alone is brought into such a form first, by the order of its place.
 *
 * @returns a day number, or undefined for anything else
 * @example isoDate(readDate("+3 weeks", { from: day("2026-11-24"), today: 0, isAfter: true })) // "2026-12-15"
 */
export function readDate(typed: string, base: DateBase): DayNumber | undefined {
  const text = typed.trim();
  const iso = parseIsoDate(text);
  if (iso !== undefined) return iso;
  const word = { today: 0, tomorrow: 1 }[text.toLowerCase()];
  if (word !== undefined) return base.today + word;
  return readStep(text, base.from) ?? readNamed(text, base) ?? (base.isEnd ? lastOfMonth(text) : undefined);
}

const MONTH_OF_YEAR = /^([a-z]{3,9})\.?,?\s+(\d{4})$/i;

function lastOfMonth(text: string): DayNumber | undefined {
  const first = readMonth(text);
  return first === undefined ? undefined : addMonths(first, 1) - 1;
}

/**
 * Reads a month as people type it: "Nov 2029", "November, 2029".
 *
 * @returns the day number of its first day, or undefined for anything else
 */
export function readMonth(text: string): DayNumber | undefined {
  const [, name, year] = MONTH_OF_YEAR.exec(text.trim()) ?? [];
  const month = name === undefined ? undefined : monthNamed(name);
  return month === undefined ? undefined : existing(Number(year), month, 1);
}

function readStep(text: string, from: DayNumber): DayNumber | undefined {
  const [, count, unit] = STEP.exec(text) ?? [];
  if (count === undefined || unit === undefined) return undefined;
  const steps = {
    d: (many: number) => from + many,
    w: (many: number) => from + 7 * many,
    m: (many: number) => addMonths(from, many),
    y: (many: number) => addMonths(from, 12 * many),
  };
  return inRange(steps[unit.charAt(0).toLowerCase() as keyof typeof steps](Number(count)));
}

function readNamed(text: string, base: DateBase): DayNumber | undefined {
  const dayFirst = DAY_THEN_MONTH.exec(text);
  const match = dayFirst ?? MONTH_THEN_DAY.exec(text);
  if (!match) return undefined;
  const [day, name] = dayFirst ? [match[1], match[2]] : [match[2], match[1]];
  const month = monthNamed(name ?? "");
  return month === undefined ? undefined : dateOf(Number(day), month, match[3], base);
}

function monthNamed(name: string): number | undefined {
  const start = name.toLowerCase();
  for (let month = 1; month <= 12; month++)
    if (monthName(month).toLowerCase().startsWith(start)) return month;
  return undefined;
}

function dateOf(day: number, month: number, year: string | undefined, base: DateBase): DayNumber | undefined {
  if (year !== undefined) return existing(year.length === 2 ? 2000 + Number(year) : Number(year), month, day);
  const { year: now } = civilDate(base.from);
  const candidates = [-1, 0, 1, 2, 3, 4, 5, 6, 7, 8]
    .map(years => existing(now + years, month, day))
    .filter(each => each !== undefined);
  if (base.isAfter) return candidates.find(each => each > base.from);
  return candidates.toSorted((a, b) => Math.abs(a - base.from) - Math.abs(b - base.from))[0];
}

function existing(year: number, month: number, day: number): DayNumber | undefined {
  const two = (part: number) => String(part).padStart(2, "0");
  return parseIsoDate(`${String(year).padStart(4, "0")}-${two(month)}-${two(day)}`);
}

const EARLIEST = dayNumber(1900, 1, 1);
const LATEST = dayNumber(2199, 12, 31);

const inRange = (day: DayNumber) => (day >= EARLIEST && day <= LATEST ? day : undefined);
