import { type Frequency, periodsPerYear } from "../calendar";
import type { RatesOfTerms } from "../kinds/kind";

/** The months over which lenders and lessors usually pay. */
const USUAL_MONTHS = [12, 24, 36, 48, 60, 72, 84, 96, 108, 120, 144, 180, 240, 300, 360];

/**
 * The usual numbers of payments, from the fewest up.
 *
 * @example usualTerms("monthly").slice(0, 3) // [12, 24, 36]
 */
export function usualTerms(frequency: Frequency): number[] {
  const perMonth = periodsPerYear(frequency) / 12;
  return USUAL_MONTHS.map(months => months * perMonth).filter(Number.isInteger);
}

/**
 * The usual number of payments next to one, on the side on which what is wanted stays given; undefined where the number
 * is usual itself, or none is beyond it.
 *
 * @param isMore whether more payments stay on the right side, or fewer
 */
export function nextUsualTerm(payments: number, frequency: Frequency, isMore: boolean): number | undefined {
  const terms = usualTerms(frequency);
  const next = isMore ? terms.find(term => term >= payments) : terms.findLast(term => term <= payments);
  return next === payments ? undefined : next;
}

/**
 * The rates at which a number of payments may come: the house's where it is another than the deal's own, then the deal's
 * own, which is undefined.
 *
 * @param own as typed
 * @example ratesFor(84, "6.49", new Map([[84, "6.89"]])) // ["6.89", undefined]
 */
export function ratesFor(payments: number, own: string | null, rates: RatesOfTerms): (string | undefined)[] {
  const house = rates.get(payments);
  return house === undefined || Number(house) === Number(own) ? [undefined] : [house, undefined];
}
