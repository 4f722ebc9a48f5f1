import { scaleLinear } from "d3-scale";
import { area, curveStepAfter, line } from "d3-shape";
import { civilDate, type DayNumber } from "@/core";
import type { Frame } from "./frame";

/** A line of a table of payments, in minor units: of a loan or of a lease. */
export type ChartLine = {
  /** How many periods have passed. */
  period: number;
  date: DayNumber | null;
  balance: number;
  /** Interest, or rent. */
  cost: number;
  /** What it takes off the balance. */
  principal: number;
  /** Whether it is one of the payments, and no extra, balloon or residual. */
  isPayment: boolean;
};

/** What is owed payment by payment, and what each payment is made of: everything of the chart but its words and colors. */
export type RepaymentChart = {
  points: { x: number; y: number }[];
  /** What is owed with what is tried, as a line and the ground under it; and as planned. */
  owed: string;
  ground: string;
  planned: string;
  /** What was paid of interest or rent so far, and where it ends. */
  cost: string;
  costEnd: number;
  amounts: { minor: number; y: number }[];
  /** Years along the foot: calendar years, or years since the contract. */
  years: { text: string; x: number }[];
  /** What each payment is made of, bar by bar, as one path each; empty where they could not be told apart. */
  bars: { cost: string; principal: string };
  zero: number;
  /** Where a number of periods stands across, and the nearest one to a place across. */
  across: (period: number) => number;
  periodAt: (x: number) => number;
  /** The place in the table nearest to a place across. */
  nearest: (x: number) => number;
};

/** About so many amounts on the scale. */
const LINES_UP = 3;

/** How high the bars are, and the room between them and what is owed. */
const BARS = 44;
const GAP = 22;

/**
 * @param lines the table that is shown
 * @param planned the table as planned; the same where nothing is tried
 * @param start what is owed at the start, in minor units
 * @param frame dots
 * @example repaymentChart(lines, lines, 3_842_500, frame).points.length // 72
 */
export function repaymentChart(
  lines: readonly ChartLine[],
  planned: readonly ChartLine[],
  start: number,
  { width, height, margin }: Frame,
): RepaymentChart {
  const last = Math.max(planned.at(-1)?.period ?? 1, lines.at(-1)?.period ?? 1, 1);
  const room = width - margin.left - margin.right;
  const across = (period: number) => margin.left + (period / last) * room;
  const zero = height - margin.bottom - BARS - GAP;
  let soFar = 0;
  const costs = lines.map(({ cost }) => {
    soFar += cost;
    return soFar;
  });
  const highest = Math.max(start, soFar, ...lines.map(({ balance }) => balance), 1);
  const scale = scaleLinear([0, highest], [zero, margin.top]).nice(LINES_UP);
  const up = (minor: number) => scale(minor);
  const pointsOf = (all: readonly ChartLine[]) =>
    all.map(({ period, balance }) => ({ x: across(period), y: up(balance) }));
  const points = pointsOf(lines);
  const first = { x: across(0), y: up(start) };
  const edge = line<Point>(
    ({ x }) => x,
    ({ y }) => y,
  ).digits(DIGITS);
  return {
    points,
    owed: edge([first, ...points]) ?? "",
    ground:
      area<Point>(
        ({ x }) => x,
        zero,
        ({ y }) => y,
      ).digits(DIGITS)([first, ...points]) ?? "",
    planned: edge([first, ...pointsOf(planned)]) ?? "",
    cost:
      line<Point>(
        ({ x }) => x,
        ({ y }) => y,
      )
        .curve(curveStepAfter)
        .digits(DIGITS)([
        { x: across(0), y: zero },
        ...lines.map(({ period }, place) => ({ x: across(period), y: up(costs[place] ?? 0) })),
      ]) ?? "",
    costEnd: up(soFar),
    amounts: scale.ticks(LINES_UP).map(minor => ({ minor, y: up(minor) })),
    years: yearsOf(planned.length >= lines.length ? planned : lines, across, last),
    bars: barsOf(lines, across, room / last, height - margin.bottom),
    zero,
    across,
    periodAt: x => Math.min(Math.max(Math.round(((x - margin.left) / room) * last), 0), last),
    nearest: at =>
      points.reduce(
        (best, point, index) =>
          Math.abs(point.x - at) < Math.abs((points[best]?.x ?? 0) - at) ? index : best,
        0,
      ),
  };
}

type Point = { x: number; y: number };

/** Of places in paths: nobody sees a hundredth of a dot. */
const DIGITS = 1;

/** Narrower ones could not be told apart. */
const NARROWEST = 2;

function barsOf(
  lines: readonly ChartLine[],
  across: (period: number) => number,
  room: number,
  foot: number,
): RepaymentChart["bars"] {
  const bars = { cost: "", principal: "" };
  if (room < NARROWEST) return bars;
  const paid = ({ cost, principal }: ChartLine) => cost + principal;
  const most = Math.max(...lines.filter(({ isPayment }) => isPayment).map(paid), 1);
  const tall = (minor: number) => (Math.max(Math.min(minor, most), 0) / most) * BARS;
  const bar = (x: number, y: number, height: number) =>
    height > 0
      ? `M${x},${rounded(y)}h${rounded(room * 0.8)}v${rounded(height)}h${rounded(-room * 0.8)}z`
      : "";
  for (const each of lines) {
    if (!each.isPayment || paid(each) <= 0) continue;
    const [principal, cost] = [tall(each.principal), tall(Math.min(each.cost, paid(each)))];
    const x = rounded(across(each.period) - room * 0.9);
    bars.principal += bar(x, foot - principal, principal);
    bars.cost += bar(x, foot - principal - cost, cost);
  }
  return bars;
}

const rounded = (dots: number) => Math.round(dots * 10 ** DIGITS) / 10 ** DIGITS;

const MOST_YEARS = 12;
/** Nearer to one another they could not be read. */
const YEAR_WIDTH = 40;

/** Where each calendar year begins; without dates, each twelfth of the numbers. */
function yearsOf(lines: readonly ChartLine[], across: (period: number) => number, last: number) {
  const starts = lines.flatMap((each, index) => {
    const year = yearOf(each);
    return year !== undefined && year !== yearOf(lines[index - 1]) ? [{ year, period: each.period }] : [];
  });
  if (starts.length === 0) {
    const step = Math.max(Math.ceil(last / MOST_YEARS / 12) * 12, 1);
    return Array.from({ length: Math.floor(last / step) }, (_, index) => ({
      text: `${(index + 1) * step}`,
      x: across((index + 1) * step),
    }));
  }
  const every = Math.ceil(starts.length / MOST_YEARS);
  const years = starts
    .filter((_, index) => index % every === 0)
    .map(({ year, period }) => ({ text: `${year}`, x: across(period - 0.5) }));
  // A first year of few payments gives way to the next.
  return years.filter(({ x }, index) => (years[index + 1]?.x ?? x + YEAR_WIDTH) - x >= YEAR_WIDTH);
}

const yearOf = (each: ChartLine | undefined): number | undefined =>
  each?.date == null ? undefined : civilDate(each.date).year;
