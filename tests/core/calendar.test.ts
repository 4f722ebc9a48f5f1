import fc from "fast-check";
import { addMonths, isoDate, monthsAndDaysBetween, parseIsoDate } from "@/core";
import { date } from "./deals";

test("agrees with the platform's own calendar on every day of three centuries", () => {
  const first = Date.UTC(1900, 0, 1) / 86_400_000;
  const last = Date.UTC(2199, 11, 31) / 86_400_000;
  for (let day = first; day <= last; day++) {
    const iso = new Date(day * 86_400_000).toISOString().slice(0, 10);
    if (parseIsoDate(iso) !== day || isoDate(day) !== iso) throw new Error(`${iso} is not day ${day}`);
  }
});

test.each([
  "2026-02-29",
  "2026-13-01",
  "2026-00-10",
  "2026-04-31",
  "1899-12-31",
  "2200-01-01",
  "24-11-2026",
  "2026-1-1",
  "",
])("%j is no date", text => {
  expect(parseIsoDate(text)).toBeUndefined();
});

test("month steps keep the original day", () => {
  const start = date("2027-01-31");
  expect([1, 2, 3, 13].map(months => isoDate(addMonths(start, months)))).toEqual([
    "2027-02-28",
    "2027-03-31",
    "2027-04-30",
    "2028-02-29",
  ]);
  expect(isoDate(addMonths(start, -2))).toBe("2026-11-30");
});

test.each([
  ["2026-11-24", "2026-12-24", 1, 0],
  ["2026-11-24", "2027-01-08", 1, 14],
  ["2026-11-24", "2026-12-01", 0, 7],
  ["2027-01-31", "2027-02-28", 1, 0],
  ["2027-01-15", "2027-03-31", 2, 16],
  ["2028-02-29", "2029-02-28", 12, 0],
])("from %s to %s are %i months and %i days", (from, to, months, days) => {
  expect(monthsAndDaysBetween(date(from), date(to))).toEqual({ months, days });
});

test("months and odd days add up to the whole span", () => {
  const day = fc.integer({ min: date("2000-01-01"), max: date("2060-01-01") });
  fc.assert(
    fc.property(day, fc.integer({ min: 1, max: 800 }), (from, length) => {
      const to = from + length;
      const { months, days } = monthsAndDaysBetween(from, to);
      expect(days).toBeGreaterThanOrEqual(0);
      expect(days).toBeLessThan(31);
      expect(
        days === 0
          ? addMonths(from, months) === to || addMonths(to, -months) === from
          : addMonths(to, -months) === from + days,
      ).toBe(true);
    }),
  );
});
