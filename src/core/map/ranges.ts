import type { Deal } from "../kinds";
import { type MapAxis, RATE_UNITS } from "../kinds/kind";
import { MOST_PAYMENTS } from "../limits";
import { perYearOf, valueOn } from "./axes";

/** From one value of an axis to another, by steps, all in its units. */
export type MapRange = { from: number; to: number; step: number };

/** At least so many steps across and up make a map of a thousand places. */
export const FEWEST_STEPS = { across: 40, up: 25 };

const MOST_STEPS = 120;

/** The values of a range, the last one included where a step meets it. */
export function valuesOf({ from, to, step }: MapRange): number[] {
  const count = Math.max(1, Math.min(MOST_STEPS, Math.floor((to - from) / Math.max(step, 1)) + 1));
  return Array.from({ length: count }, (_, index) => from + index * step);
}

/** How wide a range should be when nobody has typed one. */
type Wanted = { from: number; to: number; steps: readonly number[] };

/**
 * The range that an axis has by itself: around the deal, in steps that people use.
 *
 * @param unit minor units of one whole unit of the currency
 * @param fewest how many steps it has at least
 * @param share what of the price the axis may reach to, where the deal says nothing of it
 * @example usualRange(deal, "payments", 100, 40) // { from: 36, to: 84, step: 1 }
 */
export function usualRange(deal: Deal, axis: MapAxis, unit: number, fewest: number): MapRange {
  const { from, to, steps } = wantedRange(deal, axis, unit);
  const step = steps.findLast(each => (to - from) / each >= fewest) ?? steps[0] ?? 1;
  const low = Math.floor(from / step) * step;
  const high = Math.max(Math.ceil(to / step) * step, low + fewest * step);
  return {
    from: axis === "payments" ? Math.max(1, low) : low,
    to: axis === "payments" ? Math.min(high, MOST_PAYMENTS) : high,
    step,
  };
}

function wantedRange(deal: Deal, axis: MapAxis, unit: number): Wanted {
  const price = deal.structure.price ?? 30_000 * unit;
  const now = valueOn(deal, axis);
  switch (axis) {
    case "payments":
      return termRange(now ?? 60, perYearOf(deal));
    case "yearlyRate": {
      const rate = now ?? 6 * RATE_UNITS;
      return { from: Math.max(0, rate - 3 * RATE_UNITS), to: rate + 3 * RATE_UNITS, steps: RATE_STEPS };
    }
    case "price":
      return { from: price * 0.75, to: price * 1.25, steps: moneySteps(unit) };
    case "residual":
      return { from: price * 0.2, to: Math.max(price * 0.8, (now ?? 0) * 1.2), steps: moneySteps(unit) };
    case "balloon":
      return { from: 0, to: Math.max(price * 0.6, (now ?? 0) * 1.2), steps: moneySteps(unit) };
    default:
      return { from: 0, to: Math.max(price * 0.3, (now ?? 0) * 1.5), steps: moneySteps(unit) };
  }
}

/** From about half the term to a year beyond it, in whole years of a term that has some. */
function termRange(payments: number, perYear: number): Wanted {
  const year = payments >= 2 * perYear ? perYear : 1;
  const from = Math.max(1, Math.floor(payments / 2 / year) * year);
  const enough = Math.max((Math.ceil(payments / year) + 1) * year, payments + 6, from + FEWEST_STEPS.across);
  return { from, to: Math.ceil(enough / year) * year, steps: TERM_STEPS };
}

const TERM_STEPS = [1, 2, 3, 4, 6, 12, 13, 24, 26];
const RATE_STEPS = [100, 250, 500, 1000, 1250, 2500, 5000, 10_000];

function moneySteps(unit: number): number[] {
  const powers = [0, 1, 2, 3, 4, 5, 6].map(power => unit * 10 ** power);
  return powers.flatMap(power => [power, 2.5 * power, 5 * power]).filter(Number.isInteger);
}
