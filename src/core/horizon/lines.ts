import { addMonths } from "../calendar";
import { type Result, success } from "../result";
import { type Horizon, type HorizonAsked, horizonOf } from "./horizon";
import { LONGEST_KEPT } from "./keep-for";
import { costAt, netOf } from "./kept";
import { valueAt } from "./value";
import type { WayEnd } from "./way";

/** What one way costs over every length, in the measure that is shown. */
export type CostLine = {
  option: number | null;
  end: WayEnd;
  /** In minor units, by months from 1; null where the way does not lead there. */
  net: readonly (number | null)[];
  /** What the vehicle is worth beyond what is owed on it; null where it is not the customer's. */
  equity: readonly (number | null)[];
};

/** The cost of every way over every length. */
export type CostLines = { months: number; lines: readonly CostLine[] };

/** The shortest that lines are drawn for, in months. */
const SHORTEST = 12;

/**
 * What each way to pay costs over every length, from a month to the end of the longest that is agreed, or as long as it is
 * kept.
 *
 * @param asked as of {@link keptFor}
 * @param months up to when; as above where left out
 * @example costLines(keptAsked).value.lines[1].net[35] // 2272183
 */
export function costLines(asked: HorizonAsked, months?: number): Result<CostLines> {
  const first = horizonOf(asked, months);
  if (!first.ok) return first;
  const upTo =
    months ?? Math.min(Math.max(first.value.longest, asked.keepFor.months, SHORTEST), LONGEST_KEPT);
  const laid = upTo > asked.keepFor.months ? horizonOf(asked, upTo) : first;
  if (!laid.ok) return laid;
  return success({ months: upTo, lines: laid.value.ways.map(way => lineOf(laid.value, way, upTo)) });
}

function lineOf(horizon: Horizon, summed: Horizon["ways"][number], months: number): CostLine {
  const { way } = summed;
  const net: (number | null)[] = [];
  const equity: (number | null)[] = [];
  for (let month = 1; month <= months; month++) {
    const ending = way.endingOn(addMonths(way.signed, month));
    net.push(ending && netOf(horizon, costAt(horizon, { summed, ending }, month)));
    const owed = ending?.worth ? ending.owed : null;
    equity.push(
      owed === null || !ending?.worth
        ? null
        : valueAt(horizon.value, ending.worth.age, horizon.driven) - owed,
    );
  }
  return { option: way.option, end: way.end, net, equity };
}

/**
 * The first month from which one way stays cheaper than another, as far as both lead.
 *
 * @returns months; null where there is none
 * @example staysCheaperFrom([5, 3, 2], [4, 4, 4]) // 2
 */
export function staysCheaperFrom(
  one: readonly (number | null)[],
  other: readonly (number | null)[],
): number | null {
  let from: number | null = null;
  for (let index = one.length - 1; index >= 0; index--) {
    const [cost, others] = [one[index] ?? null, other[index] ?? null];
    if (cost === null || others === null) continue;
    if (cost >= others) return from;
    from = index + 1;
  }
  return from;
}

/** How worth and debt stand to each other as long as something is owed. */
export type EquityOverTime = {
  /** The last month after which more is owed than the vehicle is worth; null where that never is. */
  owedExceedsUntil: number | null;
  /** When worth exceeds debt by least, or falls short by most, and by how much in minor units. */
  least: { month: number; equity: number } | null;
};

/**
 * Until when more is owed than the vehicle is worth.
 *
 * @param equity by months from 1
 * @param months how long something is owed
 * @example equityOverTime([-50, 20, 90], 3) // { owedExceedsUntil: 1, least: { month: 1, equity: -50 } }
 */
export function equityOverTime(equity: readonly (number | null)[], months: number): EquityOverTime {
  let owedExceedsUntil: number | null = null;
  let least: EquityOverTime["least"] = null;
  for (const [index, each] of equity.slice(0, months).entries()) {
    if (each === null) continue;
    if (each < 0) owedExceedsUntil = index + 1;
    if (!least || each < least.equity) least = { month: index + 1, equity: each };
  }
  return { owedExceedsUntil, least };
}
