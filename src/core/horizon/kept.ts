import { addMonths, type DayNumber } from "../calendar";
import { type Failure, type Result, success } from "../result";
import type { CashPrice } from "./cash-way";
import { type Cost, costOf, lastFlows } from "./cost";
import { type Exact, halfUp, product } from "./exact";
import type { FirstTie } from "./first-tie";
import { type Horizon, type HorizonAsked, horizonOf } from "./horizon";
import { lastDay, type Standing, tieOfDistance, tieOfReturn, tieOfValue } from "./ties";
import { valueAt } from "./value";
import type { Flow, How, WayEnd } from "./way";

/** A way to pay as it stands on the day up to which the vehicle is kept; money in minor units. */
export type KeptWay = {
  /** The number of the option, from 0; null for cash. */
  option: number | null;
  end: WayEnd;
  how: How;
  /** What finance and depreciation come to. */
  cost: Cost;
  /** In the measure that is shown: in all, a month, and a unit of distance in thousandths of a whole unit of the currency. */
  net: number;
  aMonth: number;
  aUnit: number | null;
  flows: readonly Flow[];
  /** What is owed on the vehicle on the day, and what it is worth beyond that; null where it is not the customer's. */
  owed: number | null;
  equity: number | null;
  /** How many leases were over by then, of one that is signed again. */
  leasesOver: number;
  /** The other end of a lease that is not over, which costs as much or more. */
  instead?: { how: How; cost: Cost; net: number };
};

/** Where two ways cost the same. */
export type Ties = {
  /** The value on the day, in minor units; null where none makes them tie. */
  value: FirstTie | null;
  /** What money kept earns, in percent a year before tax. */
  yearlyReturn: number | null;
  /** Driven a year, in hundredths of a unit; left out where no lease is handed back. */
  distance?: FirstTie | null;
};

/** What keeping a vehicle so long comes to, by every way to pay. */
export type Kept = {
  date: DayNumber;
  /** What the vehicle is worth on the day, and of what amount that is a part. */
  value: number;
  percentsOf: Horizon["percentsOf"];
  percentsOfAmount: number;
  cash: CashPrice;
  ways: readonly KeptWay[];
  /** The number among the ways of the cheapest, and of the one that others are set against. */
  least: number;
  against: number;
  /** Of each way with that one; null for itself. */
  ties: readonly (Ties | null)[];
  leftOut: readonly { option: number; failure: Failure }[];
};

/**
 * What it costs to keep a deal's vehicle for some months: money out and in by every way to pay, what is left, and where
 * two of them tie.
 *
 * The net cost is that of finance and depreciation; insurance, fuel and repairs are not in it. What is due on or before
 * the last day is paid; then a loan is paid off that day and the vehicle counts at its value.
 *
 * @param asked answered options with dates of signing, and what is assumed
 * @param against the option that the others are set against, from 0; null for cash; the chosen one where left out
 * @returns the ways, cash first; or a failure where the chosen option has no answer, no date of signing or no vehicle
 * @example keptFor(keptAsked).value.ways[1].net // 2272183
 */
export function keptFor(asked: HorizonAsked, against: number | null = asked.chosen): Result<Kept> {
  const laid = horizonOf(asked);
  if (!laid.ok) return laid;
  const horizon = laid.value;
  const { signed, keepFor, value, driven, cash, percentsOf, leftOut } = horizon;
  const standings = standingsOn(horizon, keepFor.months);
  const ways = standings.map(({ standing, other }) => wayOf(horizon, standing, other));
  const least = ways.reduce((best, { net }, index) => (net < (ways[best] as KeptWay).net ? index : best), 0);
  const own = ways.findIndex(({ option }) => option === against);
  const set = Math.max(own, 0);
  const date = addMonths(signed, keepFor.months);
  return success({
    date,
    value: valueAt(value, { months: keepFor.months, days: 0 }, driven),
    percentsOf,
    percentsOfAmount: value.of,
    cash,
    ways,
    least,
    against: set,
    ties: standings.map(({ standing }, index) =>
      index === set ? null : tiesOf(horizon, standing, (standings[set] as Standings[number]).standing),
    ),
    leftOut,
  });
}

type Standings = { standing: Standing; other?: Standing }[];

/** How each way stands after some months: of a lease that is not over, the end that costs less. */
function standingsOn(horizon: Horizon, months: number): Standings {
  const found: Standings = [];
  for (const summed of horizon.ways) {
    const ending = summed.way.endingOn(lastDay(summed, months));
    if (!ending) continue;
    const standing = { summed, ending };
    const before = found.at(-1);
    if (ending.how !== "boughtOut" || before?.standing.ending.how !== "endedEarly") {
      found.push({ standing });
      continue;
    }
    const isLess =
      netOf(horizon, costAt(horizon, standing, months)) <
      netOf(horizon, costAt(horizon, before.standing, months));
    found[found.length - 1] = isLess
      ? { standing, other: before.standing }
      : { standing: before.standing, other: standing };
  }
  return found;
}

/** What a way costs that ends so many months after signing. */
export function costAt({ value, driven, discount }: Horizon, standing: Standing, months: number): Cost {
  const { summed, ending } = standing;
  const last = lastFlows(ending, { driven }, value, lastDay(standing.summed, months));
  return costOf(summed, ending, last, discount);
}

/** A cost in the measure that is shown. */
export const netOf = ({ keepFor }: Horizon, { plain, today }: Cost): number =>
  keepFor.isTodaysMoney ? (today ?? plain) : plain;

function wayOf(horizon: Horizon, standing: Standing, other: Standing | undefined): KeptWay {
  const { keepFor, value, driven } = horizon;
  const { months } = keepFor;
  const { summed, ending } = standing;
  const { how, owed, worth, taken, leasesOver = 0 } = ending;
  const cost = costAt(horizon, standing, months);
  const net = netOf(horizon, cost);
  const date = lastDay(standing.summed, months);
  const flows = [...summed.way.flows.slice(0, taken), ...lastFlows(ending, { driven }, value, date)];
  const instead = other && costAt(horizon, other, months);
  return {
    option: summed.way.option,
    end: summed.way.end,
    how,
    cost,
    net,
    aMonth: halfUp({ numerator: BigInt(net), denominator: BigInt(months) }),
    aUnit: aUnitOf(horizon, net),
    flows: flows.sort((one, next) => one.date - next.date),
    owed,
    equity: owed === null || !worth ? null : valueAt(value, worth.age, driven) - owed,
    leasesOver,
    ...(other &&
      instead && { instead: { how: other.ending.how, cost: instead, net: netOf(horizon, instead) } }),
  };
}

const THOUSANDTHS = 1000;

/** Thousandths of a whole unit of the currency for each unit of distance; null where nothing is driven. */
function aUnitOf({ keepFor, driven, value }: Horizon, net: number): number | null {
  if (driven === 0) return null;
  const cost: Exact = {
    numerator: BigInt(net) * BigInt(THOUSANDTHS),
    denominator: 10n ** BigInt(value.decimals),
  };
  const units = product(
    { numerator: BigInt(driven), denominator: 100n },
    { numerator: BigInt(keepFor.months), denominator: 12n },
  );
  return halfUp(product(cost, { numerator: units.denominator, denominator: units.numerator }));
}

function tiesOf(horizon: Horizon, one: Standing, other: Standing): Ties {
  const { keepFor, value, driven, discount, keeps } = horizon;
  const terms = {
    months: keepFor.months,
    driven,
    value,
    discount: keepFor.isTodaysMoney ? discount : null,
    keeps,
  };
  const isReturned = [one, other].some(({ ending }) => ending.how === "returned");
  return {
    value: tieOfValue(one, other, terms),
    yearlyReturn: tieOfReturn(one, other, terms),
    ...(isReturned && { distance: tieOfDistance(one, other, terms) }),
  };
}
