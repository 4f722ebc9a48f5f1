import {
  currencyDecimals,
  type DayNumber,
  type Failure,
  type Figure,
  LARGEST_AMOUNT,
  parseAmount,
  parseIsoDate,
  wholeText,
} from "@/core";

type Typed = string | number | undefined;

/** Reads a file's amounts and dates, and keeps the first that cannot be read. */
export type Reader = {
  /** Minor units; null where nothing is given, or it cannot be read. */
  amount: (figure: Figure, name: string, typed: Typed) => number | null;
  /** A day number; null where nothing is given, or it cannot be read. */
  date: (figure: Figure, name: string, typed: string | undefined) => DayNumber | null;
  /** Keeps a failure that was met elsewhere. */
  refuse: (figure: Figure, sentence: string) => void;
  /** The first failure met. */
  failure: () => Failure | undefined;
};

/**
 * Makes a reader for the amounts of a currency.
 *
 * @param currency a known code of ISO 4217
 */
export function fileReader(currency: string): Reader {
  const decimals = currencyDecimals(currency) ?? 2;
  let first: Failure | undefined;
  const refuse = (figure: Figure, sentence: string) => {
    first ??= { figure, sentence };
  };
  return {
    amount: (figure, name, typed) => {
      if (typed === undefined) return null;
      const minor = parseAmount(String(typed), decimals);
      if (minor !== undefined) return minor;
      const most = wholeText(LARGEST_AMOUNT);
      refuse(
        figure,
        `The ${name} is ${typed}; it must be an amount from 0 to ${most} with at most ${decimals} decimals.`,
      );
      return null;
    },
    date: (figure, name, typed) => {
      if (typed === undefined) return null;
      const day = parseIsoDate(typed);
      if (day !== undefined) return day;
      refuse(figure, `The ${name} ${typed} is not a date from 1900-01-01 to 2199-12-31.`);
      return null;
    },
    refuse,
    failure: () => first,
  };
}
