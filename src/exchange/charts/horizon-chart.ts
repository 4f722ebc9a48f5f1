import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import type { Frame } from "./frame";
import { monthTicks } from "./month-ticks";
import { placedLabels } from "./placed-labels";

/** A place on the chart, in dots. */
type Spot = { x: number; y: number };

/** Costs over every length: everything of the chart but its words and colors. */
export type HorizonChart = {
  /** Of each way: its line, and where its name stands; null where it leads nowhere. */
  lines: { path: string; label: Spot }[];
  /** Amounts on the scale, in minor units. */
  amounts: { minor: number; y: number }[];
  months: { count: number; x: number }[];
  across: (months: number) => number;
  up: (minor: number) => number;
  /** The whole month at a place across, from 1. */
  monthAt: (x: number) => number;
};

/**
 * @param ways what each costs in minor units, by months from 1; null where it does not lead there
 * @param longest months
 * @example horizonChart([[100, 200]], 2, frame).lines[0].path // "M…L…"
 */
export function horizonChart(
  ways: readonly (readonly (number | null)[])[],
  longest: number,
  { width, height, margin }: Frame,
): HorizonChart {
  const across = scaleLinear([0, longest], [margin.left, width - margin.right]);
  const all = ways.flatMap(way => way.filter(cost => cost !== null));
  const [top, bottom] = [margin.top, height - margin.bottom];
  const up = scaleLinear([Math.min(0, ...all), Math.max(1, ...all)], [bottom, top]).nice(4);
  const edge = line<[number, number]>(
    ([x]) => x,
    ([, y]) => y,
  ).digits(1);
  const drawn = ways.map(way =>
    way.flatMap((cost, index): [number, number][] => (cost === null ? [] : [[across(index + 1), up(cost)]])),
  );
  const ends = drawn.map(spots => {
    const [x, y] = spots.at(-1) ?? [margin.left, bottom];
    return { x, y };
  });
  const labels = placedLabels(ends, { top, bottom });
  return {
    lines: drawn.map((spots, index) => ({ path: edge(spots) ?? "", label: labels[index] as Spot })),
    amounts: up.ticks(4).map(minor => ({ minor, y: up(minor) })),
    months: monthTicks(longest).map(count => ({ count, x: across(count) })),
    across,
    up,
    monthAt: x => Math.max(1, Math.min(longest, Math.round(across.invert(x)))),
  };
}
