import { lastWhole } from "../../../solve";

/**
 * The last number that can be priced and is on the right side. Numbers that cannot be for too little to repay mostly
 * lie before all others; where they lie between them, or numbers on the right side do, those before are looked at too.
 *
 * @param isCheapestLast whether the last numbers take the least work, and are looked at first
 */
export function lastPriced(
  difference: (whole: number) => number,
  from: number,
  to: number,
  guess: number,
  isCheapestLast = false,
): number {
  const tooLittle = new Set<number>();
  const noted = (whole: number) => {
    const at = difference(whole);
    if (at === Number.NEGATIVE_INFINITY) tooLittle.add(whole);
    return at;
  };
  const first = lastWhole(noted, from, to, guess);
  if (first >= from && !tooLittle.has(first)) return first;
  const at = priced(difference);
  const tried = isCheapestLast ? samples(from, to).reverse() : samples(from, to);
  const start =
    tried.find(whole => at(whole) <= 0) ?? [cheapest(difference, from, to)].find(whole => at(whole) <= 0);
  return start === undefined ? from - 1 : Math.max(lastWhole(at, start, to, start), start);
}

/** A difference that takes what cannot be priced to be on the wrong side. */
export function priced(difference: (whole: number) => number): (whole: number) => number {
  return whole => {
    const at = difference(whole);
    return at === Number.NEGATIVE_INFINITY ? Number.POSITIVE_INFINITY : at;
  };
}

/** A cost may fall a little where what is solved for goes up by its step. */
const MOST_PAST_THE_FIRST = 64;

/** The number at which the known figure is the smallest that it can be: the first that can be priced, or just past it. */
export function cheapest(at: (whole: number) => number, from: number, to: number): number {
  const first = 1 + lastWhole(whole => (at(whole) === Number.NEGATIVE_INFINITY ? -1 : 1), from, to, from);
  let best = { whole: Math.min(first, to), is: at(Math.min(first, to)) };
  for (let whole = first + 1; whole <= Math.min(first + MOST_PAST_THE_FIRST, to); whole++) {
    const is = at(whole);
    if (Number.isFinite(is) && is < best.is) best = { whole, is };
  }
  return best.whole;
}

const SAMPLES_NEAR = 60;
const SAMPLE_RATIO = 1.2;

/** Numbers all over a range, close together at both its ends. */
function samples(from: number, to: number): number[] {
  const steps: number[] = [];
  for (
    let step = 0;
    step <= to - from;
    step = step < SAMPLES_NEAR ? step + 1 : Math.ceil(step * SAMPLE_RATIO)
  )
    steps.push(step);
  return [...new Set([...steps.map(step => from + step), ...steps.map(step => to - step)])].sort(
    (a, b) => a - b,
  );
}
