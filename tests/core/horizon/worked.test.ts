// What was worked out apart: a loan, a lease and cash over 36 months.
import { costLines, equityOverTime } from "@/core/horizon";
import { answered, KEEP_FOR, kept, LEASE, LOAN } from "./worked-deal";

test("net costs, plain and in today's money", () => {
  const { ways, value, least } = kept();
  expect(value).toBe(2_244_000);
  expect(ways.map(({ how, cost }) => [how, cost.plain, cost.today])).toEqual([
    ["sold", 1_756_000, 2_005_092],
    ["sold", 2_272_183, 2_198_405],
    ["returned", 2_885_228, 2_713_114],
    ["bought", 2_257_728, 2_155_269],
  ]);
  expect(least).toBe(0);
  expect(ways[1]).toMatchObject({ aMonth: 63_116, aUnit: 505, owed: 1_581_027, equity: 662_973 });
});

test("ties of value, return and distance", () => {
  const plain = kept();
  expect(plain.ties[2]?.value).toEqual({ at: 1_630_955, isExact: true });
  expect(plain.ties[0]?.yearlyReturn).toBeCloseTo(6.6866, 4);
  expect(kept({ isTodaysMoney: true }).ties[2]?.value).toEqual({ at: 1_665_022, isExact: true });
  // Both hold the vehicle: what it is worth moves both alike.
  expect(plain.ties[0]?.value).toBeNull();
});

test("worth exceeds debt throughout, by least after a year", () => {
  const lines = costLines({ quotes: [LOAN, LEASE].map(answered), chosen: 0, keepFor: KEEP_FOR });
  if (!lines.ok) throw new Error(lines.failure.sentence);
  expect(lines.value.months).toBe(60);
  const loan = lines.value.lines[1];
  expect(loan?.net[35]).toBe(2_272_183);
  expect(equityOverTime(loan?.equity ?? [], 60)).toEqual({
    owedExceedsUntil: null,
    least: { month: 12, equity: 269_932 },
  });
});
