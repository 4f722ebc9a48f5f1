import { civilDate, type DayNumber, dayNumber } from "@/core";
import type { Frame } from "./frame";

const MOST_YEARS_LABELLED = 8;

/** Money on a line of time: everything of the chart but its words and colors. */
export type FlowsTimeline = {
  /** The first and the last day. */
  first: DayNumber;
  last: DayNumber;
  /** Each flow from the line to its end: what is received stands above, what is paid hangs below. */
  stems: { x: number; end: number }[];
  /** The beginnings of years: each, or so many that their names fit. */
  years: { year: number; x: number }[];
  /** Where the line lies. */
  middle: number;
  /** The place of the flow that is nearest to a place across. */
  nearest: (x: number) => number;
};

/**
 * @param flows minor units, above zero where received; in any order
 * @param frame dots
 * @example flowsTimeline([{ date: 20000, minor: 100 }], { width: 520, height: 170, margin }).stems[0].x // margin.left
 */
export function flowsTimeline(
  flows: readonly { date: DayNumber; minor: number }[],
  { width, height, margin }: Frame,
): FlowsTimeline {
  const dates = flows.length > 0 ? flows.map(({ date }) => date) : [0];
  const [first, last] = [Math.min(...dates), Math.max(...dates)];
  const room = width - margin.left - margin.right;
  const across = (date: DayNumber) => margin.left + ((date - first) / Math.max(last - first, 1)) * room;
  const most = Math.max(...flows.map(({ minor }) => Math.abs(minor)), 1);
  const middle = (height - margin.bottom + margin.top) / 2;
  // Small payments beside one large sum are still to be seen.
  const heightOf = (minor: number) => Math.sqrt(Math.abs(minor) / most) * (middle - margin.top);
  const stems = flows.map(({ date, minor }) => ({
    x: across(date),
    end: middle - Math.sign(minor) * heightOf(minor),
  }));
  return {
    first,
    last,
    stems,
    years: yearsBetween(first, last).map(year => ({ year, x: across(dayNumber(year, 1, 1)) })),
    middle,
    nearest: x =>
      stems.reduce(
        (best, stem, index) => (Math.abs(stem.x - x) < Math.abs((stems[best]?.x ?? 0) - x) ? index : best),
        0,
      ),
  };
}

function yearsBetween(first: DayNumber, last: DayNumber): number[] {
  const [from, to] = [civilDate(first).year + 1, civilDate(last).year];
  const step = Math.max(1, Math.ceil((to - from + 1) / MOST_YEARS_LABELLED));
  const count = Math.max(0, Math.floor((to - from) / step) + 1);
  return Array.from({ length: to < from ? 0 : count }, (_, index) => from + index * step);
}
