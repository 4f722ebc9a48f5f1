import { scaleLinear } from "d3-scale";
import { type MoneyAt, moneyAfter } from "@/core";
import type { Frame } from "./frame";
import { monthTicks } from "./month-ticks";
import { placedLabels } from "./placed-labels";

/** Which money over time is drawn. */
export type LineUpShown = "paid" | "owed";

/** A place on the chart, in dots. */
type Spot = { x: number; y: number };

/** Money of several options over the months: everything of the chart but its words and colors. */
export type LineUpChart = {
  /** Of each option: its steps as a path, where they end, and where its name stands. */
  lines: { path: string; end: Spot; label: Spot }[];
  /** Amounts on the scale, in minor units. */
  amounts: { minor: number; y: number }[];
  months: { count: number; x: number }[];
  /** Where a month stands. */
  across: (months: number) => number;
  /** Where an option stands at a month; undefined once it has ended. */
  spotAt: (option: number, months: number) => Spot | undefined;
  /** The whole month at a place across. */
  monthAt: (x: number) => number;
};

/**
 * @param options the money of each over time, none of them empty
 * @param longest months
 */
export function lineUpChart(
  options: readonly (readonly MoneyAt[])[],
  shown: LineUpShown,
  longest: number,
  { width, height, margin }: Frame,
): LineUpChart {
  const across = scaleLinear([0, longest], [margin.left, width - margin.right]);
  let highest = 1;
  for (const money of options) for (const point of money) highest = Math.max(highest, point[shown]);
  const [top, bottom] = [margin.top, height - margin.bottom];
  const up = scaleLinear([0, highest], [bottom, top]).nice(4);
  const spot = (point: MoneyAt): Spot => ({ x: across(point.months), y: up(point[shown]) });
  const ends = options.map(money => spot(money.at(-1) as MoneyAt));
  const labels = placedLabels(ends, { top, bottom });
  return {
    lines: options.map((money, index) => ({
      path: steps(money.map(spot)),
      end: ends[index] as Spot,
      label: labels[index] as Spot,
    })),
    amounts: up.ticks(4).map(minor => ({ minor, y: up(minor) })),
    months: monthTicks(longest).map(count => ({ count, x: across(count) })),
    across,
    spotAt: (option, months) => {
      const money = options[option] ?? [];
      if (months > (money.at(-1)?.months ?? -1)) return undefined;
      return { x: across(months), y: up(moneyAfter(money, months)[shown]) };
    },
    monthAt: x => Math.max(0, Math.min(longest, Math.round(across.invert(x)))),
  };
}

/** A path of steps: along to the next point, then up or down to it; to a tenth of a dot. */
function steps(points: readonly Spot[]): string {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const [first = { x: 0, y: 0 }, ...others] = points;
  let path = `M${tenth(first.x)},${tenth(first.y)}`;
  for (const { x, y } of others) path += `H${tenth(x)}V${tenth(y)}`;
  return path;
}
