import { area, line } from "d3-shape";
import type { LeaseQuote, LeaseRow } from "@/core";
import type { Frame } from "./frame";

/** What is left after a line of the lessor's table, and where it stands. */
export type ResidualPoint = {
  /** Periods after signing. */
  period: number;
  balance: number;
  /** Left out at signing. */
  row?: LeaseRow;
  x: number;
  y: number;
};

/** What a vehicle still stands for, payment by payment: everything of the chart but its words and colors. */
export type ResidualChart = {
  points: ResidualPoint[];
  /** The line of the points, and the ground under it, as paths. */
  edge: string;
  ground: string;
  /** Amounts on the scale, in minor units, from 0. */
  amounts: { minor: number; y: number }[];
  /** Whole periods under it, the first and the last among them. */
  periods: { count: number; x: number }[];
  /** Where the residual stands, and the scale's 0. */
  residual: { x: number; y: number };
  zero: number;
  /** The place in `points` that is nearest to a place across. */
  nearest: (x: number) => number;
};

/**
 * @param quote a lease's answer
 * @param frame dots
 * @example residualChart(quote, { width: 760, height: 150, margin }).points.length // payments + 1, and the closing line
 */
export function residualChart(
  { schedule, cost, residual }: Pick<LeaseQuote, "schedule" | "cost" | "residual">,
  { width, height, margin }: Frame,
): ResidualChart {
  const values = valuesOf(schedule, cost);
  const last = values.at(-1)?.period ?? 0;
  const room = width - margin.left - margin.right;
  const span = Math.max(last, 1);
  const across = (periods: number) => margin.left + (periods / span) * room;
  const scale = roundAmounts(Math.max(...values.map(({ balance }) => balance), 1));
  const top = scale.at(-1) ?? 1;
  const zero = height - margin.bottom;
  const up = (minor: number) => zero - (minor / top) * (zero - margin.top);
  const points = values.map(value => ({ ...value, x: across(value.period), y: up(value.balance) }));
  const [x, y] = [(point: ResidualPoint) => point.x, (point: ResidualPoint) => point.y];
  return {
    points,
    edge: line<ResidualPoint>(x, y)(points) ?? "",
    ground: area<ResidualPoint>(x, zero, y)(points) ?? "",
    amounts: scale.map(minor => ({ minor, y: up(minor) })),
    periods: wholePeriods(last).map(count => ({ count, x: across(count) })),
    residual: { x: across(last), y: up(residual) },
    zero,
    nearest: at =>
      points.reduce(
        (best, point, index) =>
          Math.abs(point.x - at) < Math.abs((points[best]?.x ?? 0) - at) ? index : best,
        0,
      ),
  };
}

/** The cost at signing, then what is left after each line; what falls on one day is one step down. */
const valuesOf = (schedule: readonly LeaseRow[], cost: number) => [
  { period: 0, balance: cost },
  ...schedule.map(row => ({ period: row.period, balance: row.balance, row })),
];

const ROUND = [1, 2, 5, 10];
const FEWEST_UP = 2;

/** Amounts from 0 to the first round one above what is shown. */
function roundAmounts(highest: number): number[] {
  const power = 10 ** Math.floor(Math.log10(highest / FEWEST_UP));
  const step = power * (ROUND.find(each => each * power * FEWEST_UP >= highest) ?? 1);
  return Array.from({ length: FEWEST_UP + 1 }, (_, index) => index * step);
}

const STEPS = [1, 2, 3, 4, 6, 12, 24, 36, 60, 120];
const MOST_STEPS = 6;

/** Whole periods from signing to the end, in steps that fit months, quarters and years. */
function wholePeriods(periods: number): number[] {
  const step = STEPS.find(each => periods / each <= MOST_STEPS) ?? periods;
  const ticks = Array.from({ length: Math.floor(periods / step) + 1 }, (_, index) => index * step);
  const before = ticks.filter(tick => periods - tick >= step / 2 || tick === 0);
  return before.at(-1) === periods ? before : [...before, periods];
}
