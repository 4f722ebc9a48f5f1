import { type Compared, compare } from "./compare";
import { type Choice, countStated, type Departure, type Machine, type Measured, type Stated } from "./way";

/** A way that was tried. */
export type Tried<Way> = {
  way: Way;
  departures: readonly Departure[];
  /** How many departures it counts: a slip counts two. */
  count: number;
  measured: Measured;
  compared: Compared;
};

/** What was found, so far or in the end. */
export type Found<Way> = {
  /** The ways that give every stated figure with the fewest departures, the likeliest first. */
  fits: readonly Tried<Way>[];
  /** The nearest that do not. */
  nearest: readonly Tried<Way>[];
  tried: number;
  /** Every way of so many departures was tried. */
  wholeTo: number;
  /** The search ended because so many ways were tried, and not all that could be. */
  isCutOff: boolean;
};

/** What a search may take. */
export type SearchLimits = {
  /** How many ways are tried at most. */
  most?: number;
  /** Of how many departures at most. */
  mostDepartures?: number;
};

/** No contract departs in more things than this. */
const MOST_DEPARTURES = 4;
const MOST_FITS = 200;
const MOST_NEAREST = 3;
/** One figure alone is given by many: so many departures are looked through, to see whether there are several. */
const ENOUGH_FOR_ONE = 2;
/** What so many ways are tried between two looks at whether something newer is asked for. */
const A_SLICE = 32;

/**
 * Tries ways by the number of their departures, the likeliest first, until some give every stated figure.
 *
 * @param machine how ways are made and measured
 * @param stated what another says
 * @returns a generator that gives way now and then, with what was found so far each time a number of departures is
 *   through, and at the end
 */
export function* search<Way>(
  machine: Machine<Way>,
  stated: Stated,
  { most = machine.mostWays, mostDepartures = MOST_DEPARTURES }: SearchLimits = {},
): Generator<Found<Way> | undefined, Found<Way>, void> {
  const state: State<Way> = { fits: [], nearest: [], tried: 0 };
  const isOne = countStated(stated) < 2;
  let wholeTo = -1;
  for (let count = 0; count <= mostDepartures; count++) {
    for (const [way, taken] of waysOf(machine.choices, machine.base, 0, count, [])) {
      if (state.tried >= most) return { ...state, wholeTo, isCutOff: true };
      state.tried += 1;
      tryWay(machine, stated, state, way, taken, count);
      if (state.tried % A_SLICE === 0) yield undefined;
    }
    wholeTo = count;
    const hasFits = state.fits.length > 0;
    const isEnough = isOne ? state.fits.length > 1 || (hasFits && count >= ENOUGH_FOR_ONE) : hasFits;
    if (isEnough) break;
    yield { ...state, wholeTo, isCutOff: false };
  }
  return { ...state, wholeTo, isCutOff: false };
}

type State<Way> = { fits: Tried<Way>[]; nearest: Tried<Way>[]; tried: number };

function tryWay<Way>(
  machine: Machine<Way>,
  stated: Stated,
  state: State<Way>,
  way: Way,
  taken: readonly Choice<Way>[],
  count: number,
): void {
  const measured = machine.measure(way);
  if (!measured) return;
  const furthest = state.nearest[MOST_NEAREST - 1];
  // Whatever is near already, a way that gives everything is of interest.
  const most = furthest ? Math.max(farness(furthest) - count * PER_DEPARTURE, 0) : Number.POSITIVE_INFINITY;
  const compared = compare(measured, stated, machine.decimals, most);
  if (!compared) return;
  const departures = taken.map(({ departure }) => departure);
  const tried: Tried<Way> = { way, departures, count, measured, compared };
  if (compared.distance > 0) takeNearest(state.nearest, tried);
  else if (state.fits.length < MOST_FITS) state.fits.push(tried);
}

/** What a departure more has to bring nearer, in minor units. */
const PER_DEPARTURE = 10;

const farness = <Way>({ compared, count }: Tried<Way>): number => compared.distance + count * PER_DEPARTURE;

/** Keeps the nearest few; of those with the same figures the first, which has the fewest departures. */
function takeNearest<Way>(nearest: Tried<Way>[], tried: Tried<Way>): void {
  const figures = JSON.stringify(tried.compared);
  const isKnown = nearest.some(({ compared }) => JSON.stringify(compared) === figures);
  const place = nearest.findIndex(each => farness(each) > farness(tried));
  if (isKnown || (place < 0 && nearest.length >= MOST_NEAREST)) return;
  nearest.splice(place < 0 ? nearest.length : place, 0, tried);
  nearest.length = Math.min(nearest.length, MOST_NEAREST);
}

/** Every way of just so many departures, those of the likelier choices first. */
function* waysOf<Way>(
  choices: Machine<Way>["choices"],
  way: Way,
  from: number,
  count: number,
  taken: readonly Choice<Way>[],
): Generator<readonly [Way, readonly Choice<Way>[]], void, void> {
  if (count === 0) {
    yield [way, taken];
    return;
  }
  for (let place = from; place < choices.length; place++) {
    for (const choice of choices[place] ?? []) {
      if (choice.count > count) continue;
      const changed = choice.change(way);
      if (changed !== null)
        yield* waysOf(choices, changed, place + 1, count - choice.count, [...taken, choice]);
    }
  }
}
