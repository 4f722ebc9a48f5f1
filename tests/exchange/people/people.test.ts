import fc from "fast-check";
import { earnedByPerson } from "@/exchange/income";
import { RIGHT_NAMES, ROLE_NAMES, reachOf, rightsOf } from "@/exchange/people";
import { needsRelease } from "@/exchange/releases";
import { DEFAULT_SETTINGS } from "@/exchange/settings";

test("no role has every right, each right is somebody’s, and roles go together", () => {
  for (const role of ROLE_NAMES) expect(rightsOf([role]).length).toBeLessThan(RIGHT_NAMES.length);
  expect(rightsOf(ROLE_NAMES)).toEqual(RIGHT_NAMES);
  expect(rightsOf([])).toEqual([]);
  expect(rightsOf(["reader"])).toEqual(["seeDeals"]);
  expect([reachOf(["seller"]), reachOf(["seller", "officer"]), reachOf(["officer", "accounting"])]).toEqual([
    "own",
    "branch",
    "house",
  ]);
});

const share = fc.record({
  who: fc.constantFrom("b", "c", "d"),
  percent: fc.integer({ min: 0, max: 33 }).map(String),
});

test("shares of a deal add up to what it earns, whatever is rounded, losses too", () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -5_000_000, max: 5_000_000 }),
      fc.integer({ min: 0, max: 900_000 }),
      fc.uniqueArray(share, { maxLength: 3, selector: each => each.who }),
      (front, back, people) => {
        const shares = earnedByPerson([{ figures: { currency: "USD", front, back }, owner: "a", people }]);
        expect(shares.reduce((sum, each) => sum + each.front, 0)).toBe(front);
        expect(shares.reduce((sum, each) => sum + each.back, 0)).toBe(back);
        for (const { who, percent } of people) {
          const exact = (front * Number(percent)) / 100;
          const has = shares.find(each => each.who === who)?.front ?? 0;
          expect(Math.abs(has - exact)).toBeLessThanOrEqual(0.5);
        }
      },
    ),
  );
});

test("deals of one person are put together by currency; those that nobody has are nobody’s", () => {
  const earned = (currency: string, front: number | null, owner: string | null) => ({
    figures: { currency, front, back: 10 },
    owner,
    people: [],
  });
  expect(
    earnedByPerson([
      earned("USD", 100, "a"),
      earned("USD", null, "a"),
      earned("EUR", 7, "a"),
      earned("USD", 1, null),
    ]),
  ).toEqual([
    { who: "a", currency: "USD", deals: 2, front: 100, back: 20 },
    { who: "a", currency: "EUR", deals: 1, front: 7, back: 10 },
  ]);
});

const loan = (yearlyRate: string, payments: number) => ({
  format: "kellux-deal" as const,
  version: 1 as const,
  currency: "USD",
  structure: { price: "30000.00" },
  plan: { kind: "loan" as const, frequency: "monthly" as const, yearlyRate, payments },
  find: "payment" as const,
});

test("what is beyond the usual spread, or a limit of the place, needs a release that names the figures", () => {
  const house = { ...DEFAULT_SETTINGS, limits: { mostTerm: 60, mostRate: "9" } };
  const asked = { inputs: loan("9.5", 72), known: { buyRate: "7.25" }, place: undefined, house };
  expect(needsRelease({ ...asked, usualSpread: "1.25" })).toEqual([
    { kind: "spread", detail: "spread 2.25 points, beyond the usual 1.25" },
    { kind: "limit", detail: "rate 9.50 %, at most 9 %; 72 months, at most 60" },
  ]);
  // Below the usual is nobody's loss but the house's; of an unknown one nothing is said.
  expect(needsRelease({ ...asked, inputs: loan("8", 60), usualSpread: "1.25" })).toEqual([]);
  expect(needsRelease({ ...asked, inputs: loan("8", 60), known: {}, usualSpread: "0" })).toEqual([]);
});
