// Lenders that depart in up to three things are given back: theirs, or ways with no more departures that give the same
// figures; and nothing is named that does not give them. Their figures come from arithmetic written apart.
import fc from "fast-check";
import { search } from "@/core/match/search";
import type { Machine, Stated } from "@/core/match/way";
import { runs } from "../../runs";
import { dealsOfTheirs, type Lender, lenderOf, loanBy, saidBy } from "./random-lenders";

const GRIDS = runs(400);
const WHOLE = runs(12);
/** So many choices, theirs among them, make some 500 ways of up to three departures. */
const CHOICES_OF_A_GRID = 14;

const picks = fc.array(
  fc.integer({ min: 0, max: 999_999 }).map(place => place / 1_000_000),
  {
    minLength: 1,
    maxLength: 3,
  },
);

function found(machine: Machine<unknown>, stated: Stated) {
  const walk = search(machine, stated, { most: Number.POSITIVE_INFINITY, mostDepartures: 3 });
  for (;;) {
    const { done, value } = walk.next();
    if (done) return value;
  }
}

/** Theirs, or others of no more departures; each gives what is said, worked out apart. */
function expectNamed(lender: Lender, machine: Machine<unknown>): number {
  const { count, terms, taken } = lender;
  const stated = saidBy(lender);
  const { fits, tried } = found(machine, stated);
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
    fc.property(dealsOfTheirs, picks, fc.infiniteStream(fc.nat(1_000_000)), (deal, picked, draws) => {
      const lender = lenderOf(deal, picked);
      if (!lender) return;
      for (const { departure } of lender.taken)
        kinds.set(departure.kind, (kinds.get(departure.kind) ?? 0) + 1);
      const { machine, taken } = lender;
      const all = machine.choices.flat();
      const kept = new Set(taken);
      while (kept.size < Math.min(CHOICES_OF_A_GRID, all.length)) {
        const choice = all[(draws.next().value ?? 0) % all.length];
        if (choice) kept.add(choice);
      }
      const grid = { ...machine, choices: machine.choices.map(list => list.filter(each => kept.has(each))) };
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
    fc.property(dealsOfTheirs, picks, (deal, picked) => {
      const lender = lenderOf(deal, picked);
      if (lender) expectNamed(lender, lender.machine);
    }),
    { numRuns: WHOLE },
  );
}, 600_000);
