import type { Locale } from "./locales";

/** How figures and dates are written at a place; the words stay English. */
export type Notation = {
  locale: Locale;
  decimal: "." | ",";
  group: "," | "." | "\u00a0";
  /** Whether groups above the thousands have two digits: 12,34,567. */
  isInLakhs: boolean;
  /** How a date is written for people. */
  date: "24 Nov 2026" | "Nov 24, 2026" | "24.11.2026" | "2026/11/24";
  /** How a date is written for a spreadsheet. */
  numericDate: "11/24/2026" | "24/11/2026" | "24.11.2026" | "2026-11-24" | "2026/11/24";
  /** Whether "3/4" is the third of April. */
  isDayFirst: boolean;
  weekStartsOn: "Sunday" | "Monday";
  /** Whether credit is compared there by the effective rate, beside the APR or instead of it. */
  usesEffectiveRate: boolean;
};

const POINT = { decimal: ".", group: ",", isInLakhs: false } as const;

const NOTATIONS: Record<Locale, Omit<Notation, "locale">> = {
  "en-US": {
    ...POINT,
    date: "Nov 24, 2026",
    numericDate: "11/24/2026",
    isDayFirst: false,
    weekStartsOn: "Sunday",
    usesEffectiveRate: false,
  },
  "en-CA": {
    ...POINT,
    date: "Nov 24, 2026",
    numericDate: "2026-11-24",
    isDayFirst: false,
    weekStartsOn: "Sunday",
    usesEffectiveRate: false,
  },
  "fr-CA": {
    decimal: ",",
    group: "\u00a0",
    isInLakhs: false,
    date: "24 Nov 2026",
    numericDate: "2026-11-24",
    isDayFirst: true,
    weekStartsOn: "Sunday",
    usesEffectiveRate: false,
  },
  "en-GB": {
    ...POINT,
    date: "24 Nov 2026",
    numericDate: "24/11/2026",
    isDayFirst: true,
    weekStartsOn: "Monday",
    usesEffectiveRate: true,
  },
  "de-DE": {
    decimal: ",",
    group: ".",
    isInLakhs: false,
    date: "24.11.2026",
    numericDate: "24.11.2026",
    isDayFirst: true,
    weekStartsOn: "Monday",
    usesEffectiveRate: true,
  },
  "en-IN": {
    ...POINT,
    isInLakhs: true,
    date: "24 Nov 2026",
    numericDate: "24/11/2026",
    isDayFirst: true,
    weekStartsOn: "Sunday",
    usesEffectiveRate: false,
  },
  "ja-JP": {
    ...POINT,
    date: "2026/11/24",
    numericDate: "2026/11/24",
    isDayFirst: false,
    weekStartsOn: "Sunday",
    usesEffectiveRate: false,
  },
};

const known = new Map<Locale, Notation>();

/** How figures and dates are written at a place; the same object at each call. */
export function notationOf(locale: Locale): Notation {
  const notation = known.get(locale) ?? { locale, ...NOTATIONS[locale] };
  known.set(locale, notation);
  return notation;
}
