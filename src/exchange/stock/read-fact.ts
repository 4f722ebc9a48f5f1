import { currencyDecimals, isoDate, parseAmount } from "@/core";
import { type Notation, plainDate, plainFigure } from "../notation";
import { readDate } from "../text";
import { FARTHEST, FIRST_MODEL_YEAR, LAST_MODEL_YEAR, LONGEST_NUMBER } from "./limits";
import type { VehicleColumn } from "./vehicle-columns";

/** A fact as it is kept, or what is wrong with it. */
type ReadFact = { value: string | number | null } | { sentence: string };

type ReadAt = { currency: string; notation: Notation /** A day number. */; today: number };

/** Reads a fact of a vehicle as a file or an officer writes it; nothing is null. */
export function readFact(column: VehicleColumn, typed: string, at: ReadAt): ReadFact {
  const text = typed.replace(/\s+/g, " ").trim();
  if (text === "") return { value: null };
  const value = READERS[column.kind](text, at, column);
  const name = column.label.toLowerCase();
  return value === undefined
    ? { sentence: `the ${name} “${text}” is not ${WANTED[column.kind](column)}.` }
    : { value };
}

type Reader = (text: string, at: ReadAt, column: VehicleColumn) => string | number | undefined;

const whole = (text: string, { notation }: ReadAt) => {
  const digits = plainFigure(text, notation).replace(/[,\s]/g, "");
  return /^\d{1,9}$/.test(digits) ? Number(digits) : undefined;
};
const within = (figure: number | undefined, least: number, most: number) =>
  figure !== undefined && figure >= least && figure <= most ? figure : undefined;

const READERS: Record<VehicleColumn["kind"], Reader> = {
  line: text => (text.length <= LONGEST_NUMBER ? text : undefined),
  whole: (text, at) => within(whole(text, at), 0, FARTHEST),
  year: text => (/^\d{4}$/.test(text) ? within(Number(text), FIRST_MODEL_YEAR, LAST_MODEL_YEAR) : undefined),
  amount: (text, { currency, notation }) =>
    parseAmount(plainFigure(text, notation).replace(/[,\s]/g, ""), currencyDecimals(currency) ?? 2),
  date: (text, { notation, today }) => {
    const day = readDate(plainDate(text, notation), { from: today, today, isAfter: false });
    return day === undefined ? undefined : isoDate(day);
  },
  choice: (text, _, { choices = [] }) => choices.find(each => each === text.toLowerCase()),
};

const WANTED: Record<VehicleColumn["kind"], (column: VehicleColumn) => string> = {
  line: () => `a line of at most ${LONGEST_NUMBER} letters`,
  whole: () => "a whole number of 0 or more",
  year: () => `a year from ${FIRST_MODEL_YEAR} to ${LAST_MODEL_YEAR}`,
  amount: () => "an amount of 0 or more",
  date: () => "a date",
  choice: ({ choices = [] }) => `one of ${choices.join(", ")}`,
};
