import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import type { Frame } from "./frame";
import { monthTicks } from "./month-ticks";

/** What a vehicle is worth at a month, in percent. */
type ValuePoint = { month: number; percent: number };

/** A curve of values: everything of the chart but its words and colors. */
export type ValueChart = {
  points: { x: number; y: number }[];
  path: string;
  percents: { percent: number; y: number }[];
  months: { count: number; x: number }[];
  across: (months: number) => number;
  /** The whole percent at a place up. */
  percentAt: (y: number) => number;
};

/**
 * @param points by month
 * @param longest months
 * @example valueChart([{ month: 0, percent: 100 }], 60, frame).points.length // 1
 */
export function valueChart(
  points: readonly ValuePoint[],
  longest: number,
  { width, height, margin }: Frame,
): ValueChart {
  const across = scaleLinear([0, longest], [margin.left, width - margin.right]);
  const highest = Math.max(100, ...points.map(({ percent }) => percent));
  const up = scaleLinear([0, highest], [height - margin.bottom, margin.top]);
  const places = points.map(({ month, percent }) => ({ x: across(month), y: up(percent) }));
  const last = points.at(-1);
  // Level before the first point and after the last.
  const whole = [
    ...(points[0] && points[0].month > 0 ? [{ x: across(0), y: up(points[0].percent) }] : []),
    ...places,
    ...(last && last.month < longest ? [{ x: across(longest), y: up(last.percent) }] : []),
  ];
  const edge = line<{ x: number; y: number }>(
    ({ x }) => x,
    ({ y }) => y,
  ).digits(1);
  return {
    points: places,
    path: edge(whole) ?? "",
    percents: [0, 50, 100].map(percent => ({ percent, y: up(percent) })),
    months: monthTicks(longest).map(count => ({ count, x: across(count) })),
    across,
    percentAt: y => Math.max(0, Math.min(1000, Math.round(up.invert(y)))),
  };
}
