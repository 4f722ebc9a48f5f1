// Lenders that depart in up to three things are given back: theirs, or ways with no more departures that give the same
// figures; and nothing is named that does not give them. Their figures come from arithmetic written apart.
import fc from "fast-check";
import { runs } from "../../runs";
import { type AnyMachine, draws, foundBy, gridOf, places } from "./picked-ways";
import { dealsOfTheirs, type Lender, lenderOf, loanBy, saidBy } from "./random-lenders";

const GRIDS = runs(400);
const WHOLE = runs(12);
/** Theirs, or others of no more departures; each gives what is said, worked out apart. */
function expectNamed(lender: Lender, machine: AnyMachine): number {
  const { count, terms, taken } = lender;
  const stated = saidBy(lender);
  const { fits, tried } = foundBy(machine, stated);
  const named = taken.map(({ departure }) => departure);
  expect([named, fits.length > 0]).toEqual([named, true]);
  for (const fit of fits) {
    expect(fit.count).toBeLessThanOrEqual(count);
    const loan = loanBy(terms, fit.departures);
    expect([fit.departures, loan && saidBy({ ...lender, loan })]).toEqual([fit.departures, stated]);
  }
  if (fits.some(fit => fit.count === count && count > 0))
    expect(fits.map(({ departures }) => departures)).toContainEqual(named);
  return tried;
}

test(`${GRIDS} lenders among the ways of a grid that contains theirs`, () => {
  const kinds = new Map<string, number>();
  fc.assert(
    fc.property(dealsOfTheirs, places, draws, (deal, at, drawn) => {
      const lender = lenderOf(deal, at);
      if (!lender) return;
      for (const { departure } of lender.taken)
        kinds.set(departure.kind, (kinds.get(departure.kind) ?? 0) + 1);
      const grid = gridOf(lender.machine, lender.taken, drawn);
      expect(expectNamed(lender, grid)).toBeLessThan(600);
    }),
    { numRuns: GRIDS },
  );
  for (const kind of [
    "lines",
    "counting",
    "rounding",
    "rounded",
    "rowInterest",
    "lastPayment",
    "rate",
    "slip",
  ])
    expect([kind, (kinds.get(kind) ?? 0) > GRIDS / 100]).toEqual([kind, true]);
});

test(`${WHOLE} lenders among all ways`, () => {
  fc.assert(
    fc.property(dealsOfTheirs, places, (deal, at) => {
      const lender = lenderOf(deal, at);
      if (lender) expectNamed(lender, lender.machine);
    }),
    { numRuns: WHOLE },
  );
}, 600_000);
