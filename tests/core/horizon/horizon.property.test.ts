// Random deals of up to eight options: each way's cost, and each tie put back, against sums written apart.
import fc from "fast-check";
import { evaluate, isoDate, type LeaseQuote, type LoanQuote, type Quote } from "@/core";
import {
  type AfterEnd,
  type FirstTie,
  type HorizonAsked,
  type KeepFor,
  type Kept,
  keptFor,
} from "@/core/horizon";
import { fewerRuns } from "../../runs";
import { date } from "../deals";
import { plusMonths } from "../exact-dates";
import { leaseOf, leases } from "../random-leases";
import { dealOf, structures } from "../random-structures";
import { type Assumed, type Costs, costs, leaseMoney, loanMoney } from "./exact-horizon";

const RUNS = fewerRuns(50, 200);
const SIGNED = ["2026-12-08", "2027-01-31", "2028-02-29"] as const;

const decimal = (most: number, places: number) =>
  fc.integer({ min: 0, max: most * 10 ** places }).map(n => (n / 10 ** places).toFixed(places));

const keepFors: fc.Arbitrary<KeepFor> = fc.record({
  months: fc.oneof(fc.integer({ min: 1, max: 90 }), fc.constantFrom(24, 36, 48, 60)),
  distance: fc.oneof(fc.integer({ min: 0, max: 40_000 }), fc.constantFrom(12_000, 12_500.25)),
  unit: fc.constantFrom("mi", "km"),
  value: fc.record({
    points: fc
      .uniqueArray(fc.integer({ min: 0, max: 120 }), { minLength: 1, maxLength: 7 })
      .chain(months =>
        fc.tuple(
          ...months
            .sort((one, other) => one - other)
            .map(month => decimal(110, 1).map(percent => ({ month, percent }))),
        ),
      ),
    listPrice: fc.constant(null),
    normalDistance: fc.constantFrom(0, 10_000, 12_000),
    beyond: fc.oneof(fc.constant("0"), decimal(1, 3)),
    realized: fc.constantFrom("100", "95", "88.5"),
  }),
  cashRebate: fc.oneof(fc.constant(null), fc.constant({ amount: 150_000, from: "seller" as const })),
  cash: fc.record({
    price: fc.constant(null),
    charges: fc.constant(null),
    taxes: fc.oneof(fc.constant(null), fc.constant(123_456)),
    rebates: fc.constant(null),
  }),
  after: fc.array(fc.constantFrom<AfterEnd>("buy", "again", "handBack"), { minLength: 8, maxLength: 8 }),
  yearlyReturn: fc
    .tuple(fc.integer({ min: -50, max: 200 }), fc.constantFrom("0", "25", "12.5"))
    .map(([tenths, tax]) => ({ rate: String(tenths / 10), tax })),
  isTodaysMoney: fc.boolean(),
});

/** A lease that says distance and whose surplus is, as the drawn ones do not. */
const extended = fc
  .tuple(
    leases,
    fc.constantFrom(undefined, "lessor" as const, "customer" as const),
    fc.oneof(
      fc.constant(undefined),
      fc.record({
        perYear: fc.constantFrom(8000, 12_000),
        unit: fc.constantFrom("mi", "km"),
        beyond: decimal(1, 2),
      }),
    ),
  )
  .map(([file, surplus, distance]) => {
    const deal = leaseOf(file);
    return {
      ...deal,
      plan: {
        ...deal.plan,
        // Two days a month are stepped elsewhere.
        ...(deal.plan.frequency === "twiceAMonth" && { frequency: "monthly" as const }),
        ...(surplus && { surplus }),
        ...(distance && { distance: { ...distance, expected: null } }),
      },
    };
  });

const options = fc.oneof(
  structures.filter(({ structure }) => structure.purpose === undefined).map(dealOf),
  extended,
);

const isLease = (quote: Quote): quote is LeaseQuote => quote.kind === "lease";

type Drawn = { asked: HorizonAsked; kept: Kept; quotes: Quote[] };

/** Deals that have answers, each with what it costs to keep them. */
function drawn(check: (deal: Drawn) => void): void {
  fc.assert(
    fc.property(
      fc.array(options, { minLength: 1, maxLength: 8 }),
      keepFors,
      fc.constantFrom(...SIGNED),
      (deals, asked, signed) => {
        const quotes = deals.flatMap(deal => {
          const quote = evaluate({ ...deal, plan: { ...deal.plan, signed: date(signed) } } as typeof deal);
          return quote.ok ? [quote.value as Quote] : [];
        });
        if (quotes.length === 0) return;
        const after = quotes.map((quote, index) => (isLease(quote) ? asked.after[index] : "buy"));
        const whole = { quotes, chosen: 0, keepFor: { ...asked, after } };
        const kept = keptFor(whole);
        if (!kept.ok) throw new Error(kept.failure.sentence);
        check({ asked: whole, kept: kept.value, quotes });
      },
    ),
    { numRuns: RUNS },
  );
}

/** What a way costs, reckoned apart. */
function apart(way: Kept["ways"][number], { asked, kept, quotes }: Drawn, assumed: Assumed) {
  const { keepFor } = assumed;
  const quote = quotes[way.option ?? 0] as Quote;
  const signed = isoDate(quote.startDate ?? 0);
  const on = plusMonths(signed, keepFor.months);
  if (way.option === null) {
    const sold = loanMoneyOfCash(kept.cash.total, signed, on, assumed);
    return costs(sold, signed, keepFor);
  }
  const after = asked.keepFor.after[way.option] ?? "buy";
  const money = isLease(quote)
    ? leaseMoney(quote, on, way.end === "bought" ? "bought" : "returned", after, assumed)
    : loanMoney(quote as LoanQuote, on, assumed);
  if (!money) throw new Error("A way leads where it should not.");
  return costs(money, signed, keepFor);
}

function loanMoneyOfCash(total: number, signed: string, on: string, assumed: Assumed) {
  const quote = {
    startDate: date(signed),
    finalDate: date(signed),
    schedule: [],
    dueAtSigning: { total },
    filled: { structure: { tradeIns: [] } },
  } as unknown as LoanQuote;
  return loanMoney(quote, on, assumed);
}

const same = (one: { plain: number; today: number | null }, other: Costs) =>
  expect([one.plain, one.today]).toEqual([other.plain, other.today]);

test(`${RUNS} random deals: each way, plain and in today's money`, () => {
  const seen = new Set<string>();
  drawn(deal => {
    const assumed = { keepFor: deal.asked.keepFor, of: deal.kept.percentsOfAmount };
    for (const way of deal.kept.ways) {
      same(way.cost, apart(way, deal, assumed));
      seen.add(way.how);
      if (!way.instead) continue;
      const end = way.end === "bought" ? "returned" : "bought";
      same(way.instead.cost, apart({ ...way, end }, deal, assumed));
      expect(way.net).toBeLessThanOrEqual(way.instead.net);
    }
    for (const { flows, cost } of deal.kept.ways)
      expect(flows.reduce((sum, { amount }) => sum + amount, 0)).toBe(cost.plain);
  });
  expect([...seen].sort()).toEqual(["bought", "boughtOut", "endedEarly", "handedBack", "returned", "sold"]);
});

/** A tie of whole numbers put back: the two cost the same there, and less than it they do not. */
function expectTie({ at, isExact }: FirstTie, apartBy: (at: number) => number): void {
  if (isExact) expect(apartBy(at)).toBe(0);
  else expect(apartBy(at) * apartBy(at - 1)).toBeLessThan(0);
  for (const less of [1, 2, 100, 10_000]) if (at >= less) expect(apartBy(at - less)).not.toBe(0);
}

/** How many ties of two ways were put back. */
function tiesPutBack(deal: Drawn, index: number): number {
  const { kept, asked } = deal;
  const { keepFor } = asked;
  const of = kept.percentsOfAmount;
  const [way, own] = [kept.ways[index], kept.ways[kept.against]];
  const ties = kept.ties[index];
  if (!ties || !way || !own) return 0;
  const apartBy = (assumed: Partial<Assumed>) => {
    const [one, other] = [way, own].map(each => {
      const { plain, today } = apart(each, deal, { keepFor, of, ...assumed });
      return keepFor.isTodaysMoney ? today : plain;
    });
    return (one ?? 0) - (other ?? 0);
  };
  if (ties.value) expectTie(ties.value, value => apartBy({ value }));
  if (ties.distance)
    expectTie(ties.distance, driven => apartBy({ keepFor: { ...keepFor, distance: driven / 100 } }));
  // A float near −100 % says little of what is left.
  if (ties.yearlyReturn !== null && ties.yearlyReturn >= -99) {
    const { tax = "0" } = keepFor.yearlyReturn ?? {};
    const earns = { ...keepFor, yearlyReturn: { rate: ties.yearlyReturn.toFixed(15), tax } };
    const one = apart(way, deal, { keepFor: earns, of });
    const other = apart(own, deal, { keepFor: earns, of });
    const left = one.exactly.minus(other.exactly).abs();
    expect(left.toNumber()).toBeLessThan(one.size.plus(other.size).mul(1e-11).toNumber());
  }
  return [ties.value, ties.distance, ties.yearlyReturn].filter(tie => tie != null).length;
}

test(`${RUNS} random deals: each tie put back`, () => {
  let found = 0;
  drawn(deal => {
    for (const index of deal.kept.ways.keys()) found += tiesPutBack(deal, index);
  });
  expect(found).toBeGreaterThan(RUNS);
});
