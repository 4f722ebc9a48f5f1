import { addMonths, type DayNumber } from "../calendar";
import { LARGEST_AMOUNT } from "../limits";
import { type Assumed, type Cost, costOf, type Discount, lastFlows, type Summed } from "./cost";
import { HUNDREDTHS } from "./driven";
import { exactOf, floatOf } from "./exact";
import { type FirstTie, firstTie, type Stretch, stretchesBetween } from "./first-tie";
import { signChanges } from "./real-roots";
import { monthsSince, yearsOf } from "./time";
import { normalValueAt, type ValueTerms, valueAt } from "./value";
import type { Ending, Worth } from "./way";

/** The farthest that can be driven a year, in units. */
export const MOST_DRIVEN = 1_000_000;
/** The highest return that is looked for, in percent a year. */
const HIGHEST_RETURN = 1_000_000;

/** A way to pay with how it ends on the day. */
export type Standing = { summed: Summed; ending: Ending };

/** What ties are looked for with. */
type TieTerms = {
  /** How long the vehicle is kept. */
  months: number;
  driven: number;
  value: ValueTerms;
  /** Null where figures are compared plain. */
  discount: Discount | null;
  /** What tax leaves of a return, from 0 to 1. */
  keeps: number;
};

/** The day up to which a vehicle is kept: so many months after its own signing. */
export const lastDay = ({ way }: Summed, months: number): DayNumber => addMonths(way.signed, months);

const shownOf = ({ plain, today }: Cost): number => today ?? plain;

/** Which of two costs more, and by how much, in minor units, with what is assumed. */
function dearer(one: Standing, other: Standing, { months, value, discount }: TieTerms) {
  const cost = ({ summed, ending }: Standing, assumed: Assumed) =>
    shownOf(costOf(summed, ending, lastFlows(ending, assumed, value, lastDay(summed, months)), discount));
  return (assumed: Assumed) => cost(one, assumed) - cost(other, assumed);
}

/**
 * The value on the last day at which two ways cost the same in the measure that is shown: the smallest, in minor units.
 *
 * @returns null where there is none
 */
export function tieOfValue(one: Standing, other: Standing, terms: TieTerms): FirstTie | null {
  const most = LARGEST_AMOUNT * 10 ** terms.value.decimals;
  const bends = [one, other].flatMap(({ ending }) => bendOfValue(ending.worth, terms));
  const stretches = stretchesBetween(bends, 0, most).map(
    (stretch): Stretch => ({
      ...stretch,
      isFlat:
        fallsWithValue(one.ending.worth, stretch, terms) ===
        fallsWithValue(other.ending.worth, stretch, terms),
    }),
  );
  const difference = dearer(one, other, terms);
  return firstTie(value => difference({ driven: terms.driven, value }), stretches);
}

/** From which value on a lessor keeps what the vehicle brings beyond what is owed. */
function bendOfValue(worth: Worth | null, terms: TieTerms): number[] {
  const realized = floatOf(exactOf(terms.value.curve.realized)) / 100;
  if (!worth?.isFirst || worth.settles?.surplus !== "lessor" || realized === 0) return [];
  return [worth.settles.owed / realized - distanceIn(worth, terms)];
}

const distanceIn = ({ age, settles }: Worth, { value, driven }: TieTerms): number =>
  settles?.chargesDistance ? normalValueAt(value, age) - valueAt(value, age, driven) : 0;

/** What of each unit of the value comes off the cost on a stretch, as a percent in its own words. */
function fallsWithValue(worth: Worth | null, { from, to }: Stretch, terms: TieTerms): number {
  if (!worth?.isFirst) return 0;
  if (!worth.settles) return 1;
  const realized = floatOf(exactOf(terms.value.curve.realized)) / 100;
  const [bend] = bendOfValue(worth, terms);
  return bend !== undefined && (from + to) / 2 > bend ? 0 : realized;
}

/**
 * The distance a year at which two ways cost the same in the measure that is shown: the smallest, in hundredths of a
 * unit.
 *
 * @returns null where there is none
 */
export function tieOfDistance(one: Standing, other: Standing, terms: TieTerms): FirstTie | null {
  const bends = [one, other].flatMap(({ ending }) => bendsOfDistance(ending, terms));
  const stretches = stretchesBetween(bends, 0, MOST_DRIVEN * HUNDREDTHS);
  const difference = dearer(one, other, terms);
  return firstTie(driven => difference({ driven }), stretches);
}

/** From where distance costs, and up to where a value falls with it. */
function bendsOfDistance({ driven, worth }: Ending, { value }: TieTerms): number[] {
  const allowed = driven.map(({ perYear, scale }) => perYear / floatOf(scale));
  const { normalDistance, beyond, realized } = value.curve;
  const perUnit = worth ? floatOf(exactOf(beyond)) * 10 ** value.decimals * floatOf(yearsOf(worth.age)) : 0;
  const bends = worth && perUnit > 0 ? [normalDistance] : [];
  if (worth && perUnit > 0) {
    const normal = normalValueAt(value, worth.age);
    bends.push(normalDistance + normal / perUnit);
    const share = floatOf(exactOf(realized)) / 100;
    if (worth.settles && share > 0)
      bends.push(normalDistance + (normal - worth.settles.owed / share) / perUnit);
  }
  return [...allowed, ...bends].map(units => units * HUNDREDTHS);
}

/**
 * The return that money kept would have to earn, before tax, for two ways to cost the same in today's money: the
 * smallest above −100, in percent a year.
 *
 * @returns null where there is none
 */
export function tieOfReturn(one: Standing, other: Standing, terms: TieTerms): number | null {
  const { keeps } = terms;
  if (keeps === 0) return null;
  const amounts = new Map<number, number>();
  const add = ({ summed, ending }: Standing, sign: 1 | -1) => {
    const { flows, signed } = summed.way;
    const last = lastFlows(ending, { driven: terms.driven }, terms.value, lastDay(summed, terms.months));
    for (const { date, amount } of [...flows.slice(0, ending.taken), ...last]) {
      const time = floatOf(yearsOf(monthsSince(signed, date)));
      amounts.set(time, (amounts.get(time) ?? 0) + sign * amount);
    }
  };
  add(one, 1);
  add(other, -1);
  const parts = [...amounts]
    .filter(([, amount]) => amount !== 0)
    .map(([time, amount]) => ({ time, amount }))
    .sort((a, b) => a.time - b.time);
  const returns = signChanges(parts).map(place => (100 * Math.expm1(place)) / keeps);
  return returns.find(rate => rate > -100 && rate <= HIGHEST_RETURN) ?? null;
}
