import { isoDate, parseIsoDate } from "@/core";
import { type DateBase, readDate, shortDate } from "@/exchange/text";

const BASE: DateBase = {
  from: parseIsoDate("2026-11-24") ?? 0,
  today: parseIsoDate("2026-11-25") ?? 0,
  isAfter: true,
};
const read = (text: string, base: Partial<DateBase> = {}) => {
  const day = readDate(text, { ...BASE, ...base });
  return day === undefined ? undefined : isoDate(day);
};

test.each([
  ["2026-12-24", "2026-12-24"],
  ["24 Dec", "2026-12-24"],
  ["24 Dec 2027", "2027-12-24"],
  ["24dec", "2026-12-24"],
  ["24. Dezember", undefined],
  ["dec 24", "2026-12-24"],
  ["December 24, 2028", "2028-12-24"],
  ["24 Nov", "2027-11-24"],
  ["8 jan", "2027-01-08"],
  ["29 Feb", "2028-02-29"],
  ["+3 weeks", "2026-12-15"],
  ["+10d", "2026-12-04"],
  ["+ 1 month", "2026-12-24"],
  ["+2y", "2028-11-24"],
  ["today", "2026-11-25"],
  ["Tomorrow", "2026-11-26"],
  ["31 Nov", undefined],
  ["13/13", undefined],
  ["3/4", undefined],
  ["soon", undefined],
  ["24 ma", undefined],
  ["+9999 y", undefined],
])("%j is %j", (text, expected) => {
  expect(read(text)).toBe(expected);
});

test("a contract date without a year is the nearest to today", () => {
  expect(read("20 Nov", { isAfter: false })).toBe("2026-11-20");
  expect(read("10 Jan", { isAfter: false })).toBe("2027-01-10");
});

test("every date is read back from how it is shown", () => {
  for (let day = BASE.from; day < BASE.from + 800; day++) {
    expect(readDate(shortDate(day), BASE)).toBe(day);
  }
});
