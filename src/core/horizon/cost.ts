import type { ReturnAfterTax } from "../after";
import type { DayNumber } from "../calendar";
import { roundWhenSure } from "../money";
import { exponential, type Fixed, logarithm, power, times } from "../precise";
import { chargeBeyond } from "./driven";
import { monthsSince } from "./time";
import { normalValueAt, realizedOf, type ValueTerms, valueAt } from "./value";
import type { Ending, Flow, Way, Worth } from "./way";

/** What money of the future is worth on the day of signing. */
export type Discount = {
  at(signed: DayNumber, date: DayNumber): number;
  precisely(signed: DayNumber, date: DayNumber): Fixed;
};

/**
 * Discounts by a return after tax: `1 ÷ (1 + r (1 − t))^time`, a time being months ÷ 12 and odd days ÷ 365.
 *
 * @param growth of a year
 */
export function discountBy({ value, precise }: ReturnAfterTax): Discount {
  const each = Math.log(value);
  const known = new Map<DayNumber, Map<DayNumber, number>>();
  let roots: { month: Fixed; day: Fixed } | undefined;
  const rootsOf = () => {
    if (roots) return roots;
    const log = logarithm(precise());
    roots = { month: exponential(-log / 12n), day: exponential(-log / 365n) };
    return roots;
  };
  return {
    at: (signed, date) => {
      const from = known.get(signed) ?? new Map<DayNumber, number>();
      const found = from.get(date);
      if (found !== undefined) return found;
      const { months, days } = monthsSince(signed, date);
      const factor = Math.exp(-each * (months / 12 + days / 365));
      known.set(signed, from.set(date, factor));
      return factor;
    },
    precisely: (signed, date) => {
      const { months, days } = monthsSince(signed, date);
      const { month, day } = rootsOf();
      return times(power(month, months), power(day, days));
    },
  };
}

/** What is driven, and what the vehicle is worth where that is other than what the curve says. */
export type Assumed = {
  /** A year, in hundredths of a unit. */
  driven: number;
  /** On the last day, of the vehicle that was signed for, in minor units. */
  value?: number;
};

/** A way's cost, so far as it hangs on nothing that is assumed: its flows summed up, one after the other. */
export type Summed = {
  way: Way;
  plain: readonly number[];
  discounted: readonly number[];
  /** What the discounted parts come to without their signs, by which the sum can be off. */
  sizes: readonly number[];
};

/** Sums a way's flows, so that a cost on any day is a place in the sums and what falls on the day. */
export function summed(way: Way, discount: Discount | null): Summed {
  let [sum, worth, size] = [0, 0, 0];
  const plain = [sum];
  const discounted = [worth];
  const sizes = [size];
  for (const { amount, date } of way.flows) {
    sum += amount;
    plain.push(sum);
    if (!discount) continue;
    const part = amount * discount.at(way.signed, date);
    worth += part;
    size += Math.abs(part);
    discounted.push(worth);
    sizes.push(size);
  }
  return { way, plain, discounted, sizes };
}

/** What an ending comes to by what is assumed: the last flows of a way, its vehicle's worth among them. */
export function lastFlows(ending: Ending, assumed: Assumed, terms: ValueTerms, date: DayNumber): Flow[] {
  const { more, driven, worth } = ending;
  const beyond = driven.map(each => ({
    date: each.date,
    amount: chargeBeyond(each, assumed.driven, terms.decimals),
    name: "distance" as const,
  }));
  const flows = [...more, ...beyond];
  if (worth) flows.push({ date, ...worthFlow(worth, assumed, terms) });
  return flows;
}

function worthFlow(worth: Worth, assumed: Assumed, terms: ValueTerms): Pick<Flow, "amount" | "name"> {
  const fromCurve = () => valueAt(terms, worth.age, assumed.driven);
  const value = worth.isFirst ? (assumed.value ?? fromCurve()) : fromCurve();
  if (!worth.settles) return { amount: -value, name: "worth" };
  const { owed, surplus, chargesDistance } = worth.settles;
  // Distance counts once: in what is charged for it, or in the value.
  const beyond = chargesDistance ? normalValueAt(terms, worth.age) - fromCurve() : 0;
  const left = owed - realizedOf(terms, value + beyond);
  return { amount: surplus === "lessor" ? Math.max(left, 0) : left, name: "endedEarly" };
}

/** A net cost in minor units, and the same in money of the day of signing; below 0 where more came in. */
export type Cost = { plain: number; today: number | null };

/** The net cost of a way that ends on a day; each sum in today's money is rounded half up, once. */
export function costOf(ways: Summed, ending: Ending, last: readonly Flow[], discount: Discount | null): Cost {
  let plain = ways.plain[ending.taken] as number;
  for (const { amount } of last) plain += amount;
  return { plain, today: discount && todays(ways, ending, last, discount) };
}

/** Floats are right to so much of all that is summed, for each of them. */
const RELATIVE_ERROR = 1e-15;
const LEAST_PARTS = 50;

function todays(
  { way, discounted, sizes }: Summed,
  { taken }: Ending,
  last: readonly Flow[],
  discount: Discount,
): number {
  let [sum, size] = [discounted[taken] as number, sizes[taken] as number];
  for (const { amount, date } of last) {
    const part = amount * discount.at(way.signed, date);
    sum += part;
    size += Math.abs(part);
  }
  const error = RELATIVE_ERROR * size * (taken + last.length + LEAST_PARTS);
  return roundWhenSure(sum, error, "nearest", () => {
    let exactly: Fixed = 0n;
    for (const { amount, date } of [...way.flows.slice(0, taken), ...last])
      exactly += BigInt(amount) * discount.precisely(way.signed, date);
    return exactly;
  });
}
