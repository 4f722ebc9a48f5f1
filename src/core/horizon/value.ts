import { priceBeyond } from "./driven";
import { atLeastZero, difference, type Exact, exactOf, halfUp, product, wholly } from "./exact";
import type { CurvePoint, ValueCurve } from "./keep-for";
import { monthsOf, type Since, yearsOf } from "./time";

/** What a curve is read with. */
export type ValueTerms = {
  curve: ValueCurve;
  /** What its percents are of, in minor units. */
  of: number;
  decimals: number;
};

/**
 * A curve's percent at an age, exactly: straight between its points, and level before the first and after the last.
 *
 * @param points by month, each once
 * @example percentAt([{ month: 0, percent: "100" }, { month: 12, percent: "78" }], wholly(6)) // { numerator: 1068n, denominator: 12n }
 */
export function percentAt(points: readonly CurvePoint[], months: Exact): Exact {
  const isReached = ({ month }: CurvePoint) =>
    wholly(month).numerator * months.denominator <= months.numerator;
  const before = points.findLast(isReached);
  const after = points.find(point => !isReached(point));
  if (!before || !after) return exactOf((before ?? after)?.percent ?? "0");
  const [from, to] = [exactOf(before.percent), exactOf(after.percent)];
  const along = product(difference(months, wholly(before.month)), {
    numerator: 1n,
    denominator: BigInt(after.month - before.month),
  });
  return difference(from, product(difference(from, to), along));
}

/**
 * What a vehicle is worth at an age, in minor units: the curve's percent, less an amount for each unit of distance
 * beyond a normal year; never below 0, and rounded half up, once.
 *
 * @param age since it was signed for
 * @param driven a year, in hundredths of a unit
 * @example valueAt(campervans, { months: 36, days: 0 }, 1_500_000) // 2244000
 */
export function valueAt(terms: ValueTerms, age: Since, driven: number): number {
  const known = valuesOf(terms);
  const key = `${age.months} ${age.days} ${driven}`;
  const value = known.get(key) ?? reckoned(terms, age, driven);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, value);
  return value;
}

/** Every line asks the same curve at the same ages. */
const values = new WeakMap<ValueTerms, Map<string, number>>();
const MOST_KNOWN = 5000;

function valuesOf(terms: ValueTerms): Map<string, number> {
  const known = values.get(terms) ?? new Map<string, number>();
  values.set(terms, known);
  return known;
}

function reckoned(terms: ValueTerms, age: Since, driven: number): number {
  const { curve, decimals } = terms;
  const beyond = {
    perYear: curve.normalDistance,
    price: curve.beyond,
    years: yearsOf(age),
    scale: wholly(1),
  };
  return halfUp(atLeastZero(difference(shareAt(terms, age), priceBeyond(beyond, driven, decimals))));
}

/** The same of a vehicle that was driven no more than is normal. */
export const normalValueAt = (terms: ValueTerms, age: Since): number =>
  halfUp(atLeastZero(shareAt(terms, age)));

function shareAt({ curve, of }: ValueTerms, age: Since): Exact {
  const percent = percentAt(curve.points, monthsOf(age));
  return product(product(wholly(of), percent), { numerator: 1n, denominator: 100n });
}

/** What a lessor gets of a value: a percent of it, rounded half up. */
export const realizedOf = ({ curve }: ValueTerms, value: number): number =>
  halfUp(product(product(wholly(value), exactOf(curve.realized)), { numerator: 1n, denominator: 100n }));
