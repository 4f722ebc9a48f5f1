import fc from "fast-check";
import { askingPayment, costOfCredit, evaluate, KINDS, kindOf } from "@/core";
import { axesOf, figuresOn, type MapAxis, type MapFigure, usualRange, valuesOf, walkMap } from "@/core/map";
import { type DealFile, readDeal } from "@/exchange/deal-file";
import { inputsAt } from "@/features/deal/map/inputs-at";
import { runs } from "../runs";
import { leases } from "./random-leases";
import { structures } from "./random-structures";

const PLACES_A_MAP = 5;
const MAPS = runs(800);

/** A figure of a deal as its whole answer, with its table and its yearly rates, has it. */
function wholeAnswer(inputs: DealFile, figure: MapFigure): number | null {
  const deal = readDeal(inputs);
  const answer = deal.ok ? evaluate(deal.value) : deal;
  if (!answer.ok) return null;
  const quote = answer.value;
  const rates = quote.kind === "lease" ? undefined : costOfCredit(quote);
  const value = kindOf(quote.filled).figures[figure]?.value({ quote, rates });
  return value === undefined || value === null ? null : Number(value);
}

const amount = fc.integer({ min: 0, max: 6_000_000 });
const VALUES: Record<MapAxis, fc.Arbitrary<number>> = {
  price: amount,
  down: fc.integer({ min: 0, max: 1_500_000 }),
  allowance: fc.integer({ min: 0, max: 1_500_000 }),
  yearlyRate: fc.integer({ min: 0, max: 250_000 }),
  payments: fc.integer({ min: 1, max: 96 }),
  balloon: fc.integer({ min: 0, max: 2_000_000 }),
  residual: fc.integer({ min: 0, max: 3_000_000 }),
};

test(`${MAPS * PLACES_A_MAP} random places of maps are the whole answer of the deal that is typed there, over every figure`, () => {
  const seen = new Map<string, number>();
  const deals = fc.oneof(
    structures.filter(({ find, plan }) => find === "payment" && plan.payment === undefined),
    leases.filter(({ find, plan }) => find === "payment" && plan.payment === undefined),
  );
  const maps = deals.chain(inputs => {
    const read = readDeal(inputs);
    if (!read.ok) throw new Error(read.failure.sentence);
    const deal = askingPayment(read.value);
    return fc
      .tuple(
        fc.shuffledSubarray(axesOf(deal), { minLength: 2, maxLength: 2 }),
        fc.constantFrom(...figuresOn(deal)),
      )
      .chain(([[across = "price", up = "down"], figure]) =>
        fc.record({
          inputs: fc.constant<DealFile>(inputs),
          deal: fc.constant(deal),
          figure: fc.constant(figure),
          across: fc.record({
            axis: fc.constant(across),
            values: fc.array(VALUES[across], { minLength: PLACES_A_MAP, maxLength: PLACES_A_MAP }),
          }),
          up: fc.record({ axis: fc.constant(up), values: fc.tuple(VALUES[up]) }),
        }),
      );
  });
  fc.assert(
    fc.property(maps, ({ inputs, deal, figure, across, up }) => {
      const places = [...walkMap({ deal, across, up, figure })];
      for (const [column, place] of places.entries()) {
        const moved = inputsAt(
          inputsAt(inputs, up.axis, up.values[0]),
          across.axis,
          across.values[column] ?? 0,
        );
        expect(place).toBe(wholeAnswer(moved, figure));
        const key = `${kindOf(deal).name} ${figure}`;
        if (place !== null) seen.set(key, (seen.get(key) ?? 0) + 1);
      }
    }),
    { numRuns: MAPS, seed: 12 },
  );
  // Each figure was really met, of loans and of leases.
  const mapped = Object.entries(KINDS).flatMap(([kind, { figures }]) =>
    Object.entries<{ mapped?: unknown }>(figures)
      .filter(([, entry]) => entry.mapped)
      .map(([name]) => `${kind} ${name}`),
  );
  expect(mapped.length).toBeGreaterThan(8);
  expect([...seen.keys()].sort()).toEqual(mapped.sort());
  for (const count of seen.values()) expect(count).toBeGreaterThan(0.15 * MAPS);
}, 240_000);

test("a map has a thousand places around the deal, in steps that people use", () => {
  const file = fc.sample(structures, { numRuns: 200, seed: 3 });
  for (const inputs of file) {
    const deal = readDeal(inputs);
    if (!deal.ok) continue;
    const [across, up] = [
      usualRange(deal.value, "payments", 100, 40),
      usualRange(deal.value, "down", 100, 25),
    ];
    expect(valuesOf(across).length * valuesOf(up).length).toBeGreaterThanOrEqual(1000);
    expect(Number.isInteger(across.step) && across.from >= 1).toBe(true);
    expect(String(up.step / 100)).toMatch(/^(1|5|25)0*$|^2\.5$/);
  }
});
