import { isoDate, parseIsoDate } from "@/core";
import {
  amountIn,
  dateIn,
  inNotation,
  LOCALES,
  longDateIn,
  notationOf,
  plainDate,
  plainFigure,
  plainSearch,
  spreadsheetDate,
} from "@/exchange/notation";
import { readDate } from "@/exchange/text";
import { readAmount } from "@/features/deal/fields/amount-text";

const DAY = parseIsoDate("2026-11-24") ?? 0;
const spaced = (text: string) => text.replace(/\s/g, " ");

test.each(LOCALES)("amounts of %s are written as the platform writes them", locale => {
  const format = new Intl.NumberFormat(locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 });
  for (const minor of [0, 5, 99_999, 100_000, 4_185_000, 123_456_789, 12_345_678_901, 999_999_999_999]) {
    expect(spaced(amountIn(minor, "USD", notationOf(locale)))).toBe(spaced(format.format(minor / 100)));
  }
});

test.each(LOCALES)("an amount of %s is read back from how it is written", locale => {
  const notation = notationOf(locale);
  for (const minor of [0, 5, 12_50, 99_999, 4_185_000, 123_456_789, 99_999_999_999]) {
    const typed = plainFigure(amountIn(minor, "USD", notation), notation);
    expect(readAmount(typed, "USD")).toEqual({ amount: (minor / 100).toFixed(2) });
  }
});

test.each(LOCALES)("a date of %s is read back from how it is written", locale => {
  const notation = notationOf(locale);
  const base = { from: DAY, today: DAY, isAfter: true };
  for (let day = DAY; day < DAY + 500; day++) {
    for (const text of [
      dateIn(day, notation),
      longDateIn(day, notation),
      spreadsheetDate(day, notation),
      isoDate(day),
    ]) {
      expect(readDate(plainDate(text, notation), base)).toBe(day);
    }
  }
});

test.each([
  ["en-US", "Nov 24, 2026", "November 24, 2026", "11/24/2026"],
  ["en-CA", "Nov 24, 2026", "November 24, 2026", "2026-11-24"],
  ["fr-CA", "24 Nov 2026", "24 November 2026", "2026-11-24"],
  ["en-GB", "24 Nov 2026", "24 November 2026", "24/11/2026"],
  ["de-DE", "24.11.2026", "24.11.2026", "24.11.2026"],
  ["en-IN", "24 Nov 2026", "24 November 2026", "24/11/2026"],
  ["ja-JP", "2026/11/24", "2026/11/24", "2026/11/24"],
] as const)("dates of %s", (locale, short, long, numeric) => {
  const notation = notationOf(locale);
  expect(dateIn(DAY, notation)).toBe(short);
  expect(longDateIn(DAY, notation)).toBe(long);
  expect(spreadsheetDate(DAY, notation)).toBe(numeric);
});

test.each(LOCALES)("a spreadsheet of %s gets the platform's own date of numbers", locale => {
  const format = new Intl.DateTimeFormat(locale, {
    year: "numeric",
    month: "2-digit",
    day: "2-digit",
    timeZone: "UTC",
  });
  expect(spreadsheetDate(DAY, notationOf(locale))).toBe(format.format(Date.UTC(2026, 10, 24)));
});

test.each([
  ["de-DE", "At 41,850.00 less −1,200.5 from 2026-11-24", "At 41.850,00 less −1.200,5 from 24.11.2026"],
  ["de-DE", "by 24 November 2026 at 6.49 %", "by 24.11.2026 at 6,49 %"],
  ["fr-CA", "1,234,567.00 on 24 Nov 2026", "1\u00a0234\u00a0567,00 on 24 Nov 2026"],
  ["en-IN", "1,234,567.00 and 999.50", "12,34,567.00 and 999.50"],
  [
    "en-US",
    "5 payments of 41,850.00 from 24 November 2026",
    "5 payments of 41,850.00 from November 24, 2026",
  ],
  ["ja-JP", "1,850 on 24 Nov 2026", "1,850 on 2026/11/24"],
  ["de-DE", "Service contract, 5 years; steps 3, 4 and 5", "Service contract, 5 years; steps 3, 4 and 5"],
  ["de-DE", "“1,250.00” is not 41,850.00", "“1,250.00” is not 41.850,00"],
  ["en-US", "on 31 Nov 2026 or 2026-02-30", "on 31 Nov 2026 or 2026-02-30"],
] as const)("a text as in %s: %j", (locale, text, expected) => {
  expect(inNotation(text, notationOf(locale))).toBe(expected);
});

test.each([
  ["de-DE", "41.850,00", "41,850.00"],
  ["de-DE", "41850,5", "41850.5"],
  ["de-DE", "1.250", "1,250"],
  ["de-DE", "6.49", "6.49"],
  ["de-DE", "6,49 %", "6.49 %"],
  ["fr-CA", "41 850,00", "41 850.00"],
  ["fr-CA", "41850.00", "41850.00"],
  ["en-IN", "12,34,567.50", "1234567.50"],
  ["en-IN", "1,234,567", "1,234,567"],
  ["en-US", "1,250.00", "1,250.00"],
] as const)("as in %s, %j is %j", (locale, typed, expected) => {
  expect(plainFigure(typed, notationOf(locale))).toBe(expected);
});

test.each([
  ["en-US", "3/4", "4 Mar"],
  ["en-GB", "3/4", "3 Apr"],
  ["en-US", "24/12", "24 Dec"],
  ["en-GB", "12/24", "24 Dec"],
  ["de-DE", "24.12.27", "24 Dec 27"],
  ["ja-JP", "2027/1/8", "8 Jan 2027"],
  ["en-US", "13/13", "13/13"],
  ["en-US", "+3 weeks", "+3 weeks"],
] as const)("as in %s, the date %j is %j", (locale, typed, expected) => {
  expect(plainDate(typed, notationOf(locale))).toBe(expected);
});

test("a search finds figures as they are written at the place", () => {
  expect(plainSearch("Ostrel 40.700,00", notationOf("de-DE"))).toBe("Ostrel 40,700.00");
  expect(plainSearch("no. 5", notationOf("de-DE"))).toBe("no. 5");
});
