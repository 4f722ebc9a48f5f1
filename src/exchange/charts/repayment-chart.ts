import { scaleLinear } from "d3-scale";
import { area, curveStepAfter, line } from "d3-shape";
import { civilDate, type PaymentRow } from "@/core";
import type { Frame } from "./frame";

/** A line of a repayment table, and where it stands. */
type RepaymentPoint = { place: number; row: PaymentRow; x: number; y: number };

/** What is owed payment by payment, and what each payment is made of: everything of the chart but its words and colors. */
export type RepaymentChart = {
  points: RepaymentPoint[];
  /** What is owed with what is tried, as a line and the ground under it; and as planned. */
  owed: string;
  ground: string;
  planned: string;
  /** Interest paid so far. */
  interest: string;
  amounts: { minor: number; y: number }[];
  /** Years along the foot: calendar years, or years since the contract. */
  years: { text: string; x: number }[];
  /** What each payment is made of, as far as they can be told apart. */
  bars: { place: number; x: number; width: number; interest: Bar; principal: Bar }[];
  zero: number;
  /** The place in the table nearest to a place across. */
  nearest: (x: number) => number;
};

type Bar = { y: number; height: number };

/** About so many amounts on the scale. */
const LINES_UP = 3;

/** How high the bars are, and the room between them and what is owed. */
const BARS = 44;
const GAP = 22;

/**
 * @param rows the table that is shown
 * @param planned the table as planned; the same where nothing is tried
 * @param loanAmount what is owed at the start, in minor units
 * @param frame dots
 * @example repaymentChart(quote.schedule, quote.schedule, quote.loanAmount, frame).points.length // 72
 */
export function repaymentChart(
  rows: readonly PaymentRow[],
  planned: readonly PaymentRow[],
  loanAmount: number,
  { width, height, margin }: Frame,
): RepaymentChart {
  const last = Math.max(planned.at(-1)?.number ?? 1, rows.at(-1)?.number ?? 1, 1);
  const room = width - margin.left - margin.right;
  const across = (number: number) => margin.left + (number / last) * room;
  const zero = height - margin.bottom - BARS - GAP;
  const totalInterest = rows.reduce((sum, row) => sum + row.interest, 0);
  const highest = Math.max(loanAmount, totalInterest, ...rows.map(({ balance }) => balance), 1);
  const scale = scaleLinear([0, highest], [zero, margin.top]).nice(LINES_UP);
  const up = (minor: number) => scale(minor);
  const points = rows.map((row, place) => ({ place, row, x: across(row.number), y: up(row.balance) }));
  const start = { x: across(0), y: up(loanAmount) };
  const edge = line<{ x: number; y: number }>(
    ({ x }) => x,
    ({ y }) => y,
  );
  let soFar = 0;
  const interest = rows.map(({ number, interest: paid }) => {
    soFar += paid;
    return { x: across(number), y: up(soFar) };
  });
  return {
    points,
    owed: edge([start, ...points]) ?? "",
    ground:
      area<{ x: number; y: number }>(
        ({ x }) => x,
        zero,
        ({ y }) => y,
      )([start, ...points]) ?? "",
    planned: edge([start, ...planned.map(row => ({ x: across(row.number), y: up(row.balance) }))]) ?? "",
    interest:
      line<{ x: number; y: number }>(
        ({ x }) => x,
        ({ y }) => y,
      ).curve(curveStepAfter)([{ x: across(0), y: zero }, ...interest]) ?? "",
    amounts: scale.ticks(LINES_UP).map(minor => ({ minor, y: up(minor) })),
    years: yearsOf(planned.length >= rows.length ? planned : rows, across, last),
    bars: barsOf(rows, across, room / last, height - margin.bottom),
    zero,
    nearest: at =>
      points.reduce(
        (best, point, index) =>
          Math.abs(point.x - at) < Math.abs((points[best]?.x ?? 0) - at) ? index : best,
        0,
      ),
  };
}

/** Narrower ones could not be told apart. */
const NARROWEST = 2;

function barsOf(
  rows: readonly PaymentRow[],
  across: (number: number) => number,
  room: number,
  foot: number,
): RepaymentChart["bars"] {
  if (room < NARROWEST) return [];
  const most = Math.max(...rows.filter(({ kind }) => kind === "payment").map(({ payment }) => payment), 1);
  const tall = (minor: number) => (Math.max(Math.min(minor, most), 0) / most) * BARS;
  return rows.flatMap((row, place) => {
    if (row.kind === "extra" || row.kind === "balloon" || row.payment === 0) return [];
    const [principal, interest] = [tall(row.principal), tall(Math.min(row.interest, row.payment))];
    return [
      {
        place,
        x: across(row.number) - room * 0.9,
        width: room * 0.8,
        principal: { y: foot - principal, height: principal },
        interest: { y: foot - principal - interest, height: interest },
      },
    ];
  });
}

const MOST_YEARS = 12;
/** Nearer to one another they could not be read. */
const YEAR_WIDTH = 40;

/** Where each calendar year begins; without dates, each twelfth of the numbers. */
function yearsOf(rows: readonly PaymentRow[], across: (number: number) => number, last: number) {
  const starts = rows.flatMap((row, index) => {
    const year = yearOf(row);
    return year !== undefined && year !== yearOf(rows[index - 1]) ? [{ year, number: row.number }] : [];
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
    .map(({ year, number }) => ({ text: `${year}`, x: across(number - 0.5) }));
  // A first year of few payments gives way to the next.
  return years.filter(({ x }, index) => (years[index + 1]?.x ?? x + YEAR_WIDTH) - x >= YEAR_WIDTH);
}

const yearOf = (row: PaymentRow | undefined): number | undefined =>
  row?.date == null ? undefined : civilDate(row.date).year;
