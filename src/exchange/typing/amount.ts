import { type Notation, plainFigure } from "../notation";
import type { TypedAt, Understood } from "./typed";

/** Words for thousands and more; the last ones are India's. */
const TIMES: Record<string, number> = {
  k: 1e3,
  tsd: 1e3,
  m: 1e6,
  mio: 1e6,
  lakh: 1e5,
  lac: 1e5,
  cr: 1e7,
  crore: 1e7,
};
const WITH_WORD = /^(.*\d)\s*(k|tsd|mio|m|lakh|lac|crore|cr)\.?$/i;
const CURRENCY = /^(?:\p{Sc}|[A-Z]{3})\s*|\s*(?:\p{Sc}|[A-Z]{3})$/gu;
const NUMBER = /^\d+(?:\.\d*)?$|^\.\d+$/;

/** One amount as a number, with a word for thousands or without; undefined where it is none. */
function numberOf(typed: string, notation: Notation): number | undefined {
  const text = typed.trim().replace(CURRENCY, "");
  const [, digits, word] = WITH_WORD.exec(text) ?? [];
  const plain = plainFigure(digits ?? text, notation).replace(/(\d)[,\s](?=\d{3}(?!\d))/g, "$1");
  if (!NUMBER.test(plain)) return undefined;
  return Number(plain) * (word === undefined ? 1 : (TIMES[word.toLowerCase()] ?? 1));
}

const OPERATOR = /\s*([+−–-])\s*/;

/** "41,850 − 1,200" as a number; undefined where it is no sum. */
function sumOf(typed: string, notation: Notation): number | undefined {
  const parts = typed.split(OPERATOR);
  if (parts.length < 3) return undefined;
  let sum = 0;
  for (let place = 0; place < parts.length; place += 2) {
    const part = numberOf(parts[place] ?? "", notation);
    if (part === undefined) return undefined;
    sum += parts[place - 1] === undefined || parts[place - 1] === "+" ? part : -part;
  }
  return sum;
}

const CHANGE = /^([+−–-])\s*(.+)$/;
const PERCENT = /^(.*\d)\s*%$/;

/** "+500", "-2 %" of the figure that stood there; undefined where it is no change. */
function changed(typed: string, base: number, notation: Notation): number | undefined {
  const [, sign, rest] = CHANGE.exec(typed) ?? [];
  if (rest === undefined) return undefined;
  const direction = sign === "+" ? 1 : -1;
  const [, percent] = PERCENT.exec(rest) ?? [];
  const by =
    percent === undefined
      ? (sumOf(rest, notation) ?? numberOf(rest, notation))
      : shareOf(base, numberOf(percent, notation));
  return by === undefined ? undefined : base + direction * by;
}

const shareOf = (base: number, percent: number | undefined) =>
  percent === undefined ? undefined : (base * percent) / 100;

/** One separator and three digits: a place reads them as a fraction where that is its sign for one. */
const THREE_DIGITS = /^(\d{1,3})[.,](\d{3})$/;

/**
 * An amount as officers type it: "12.5k", "41,850 − 1,200", "+500" and "-2%" of what stood there, or just an amount.
 *
 * @example understoodAmount("12.5k", at).plain // "12500.00"
 */
export function understoodAmount(typed: string, { notation, decimals, base }: TypedAt): Understood {
  const whole = (value: number) => (value < 0 ? plainFigure(typed, notation) : rounded(value, decimals));
  const sum = CHANGE.test(typed) ? undefined : sumOf(typed, notation);
  if (sum !== undefined) return { plain: whole(sum) };
  const before = base === undefined ? undefined : numberOfPlain(base);
  const change = before === undefined ? undefined : changed(typed, before, notation);
  if (change !== undefined) return { plain: whole(change) };
  if (WITH_WORD.test(typed)) {
    const value = numberOf(typed, notation);
    if (value !== undefined) return { plain: rounded(value, decimals) };
  }
  const plain = plainFigure(typed, notation);
  const bare = typed.replace(CURRENCY, "").trim();
  const [, thousands, hundreds] = THREE_DIGITS.exec(bare) ?? [];
  const isFraction = thousands !== undefined && /^\D*\d+\.\d{3}\D*$/.test(plain);
  return isFraction ? { plain, maybe: rounded(Number(`${thousands}${hundreds}`), decimals) } : { plain };
}

/** A figure as the fields read it, as a number. */
export function numberOfPlain(plain: string): number | undefined {
  const digits = plain.replace(/[,\s]/g, "");
  return NUMBER.test(digits) ? Number(digits) : undefined;
}

/** A number with at most so many decimals, in minor units that a sum of floats does not lose. */
function rounded(value: number, decimals: number): string {
  return (Math.round(value * 10 ** decimals * (1 + Number.EPSILON)) / 10 ** decimals).toFixed(decimals);
}
