import { dayNumber } from "@/core";
import { notationOf } from "@/exchange/notation";
import { periodInSearch } from "@/exchange/typing/period";
import { nameOfPeriod, periodOf } from "@/features/register/periods";

const here = notationOf("en-US");

test.each([
  ["ida Nov 2026", "ida", ["2026-11-01", "2026-11-30"]],
  ["2026-02 vale", "vale", ["2026-02-01", "2026-02-28"]],
  ["November 24, 2026", "", ["2026-11-24", "2026-11-24"]],
  ["vale 2026-11-24", "vale", ["2026-11-24", "2026-11-24"]],
  ["stock 1187", "stock 1187", null],
  ["Ostrel U3", "Ostrel U3", null],
  ["24 Nov", "24 Nov", null],
  ["2026", "2026", null],
] as const)("“%s” is searched for “%s” within %j", (search, text, days) => {
  expect(periodInSearch(search, here)).toEqual({
    text,
    days: days && { from: days[0], to: days[1] },
  });
});

test("the periods with a name are whole, and known again", () => {
  const today = dayNumber(2026, 3, 31);
  const days = (name: Parameters<typeof periodOf>[0]) => Object.values(periodOf(name, today));
  expect(days("today")).toEqual(["2026-03-31", "2026-03-31"]);
  expect(days("week")).toEqual(["2026-03-25", "2026-03-31"]);
  expect(days("month")).toEqual(["2026-03-01", "2026-03-31"]);
  expect(days("lastMonth")).toEqual(["2026-02-01", "2026-02-28"]);
  expect(days("lastYear")).toEqual(["2025-01-01", "2025-12-31"]);
  expect(nameOfPeriod(periodOf("lastMonth", today), today)).toBe("lastMonth");
  expect(nameOfPeriod({ from: "2026-03-02", to: "2026-03-31" }, today)).toBeNull();
});
