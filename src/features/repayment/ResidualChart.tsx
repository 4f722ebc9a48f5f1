import { area, line } from "d3-shape";
import { useRef, useState } from "react";
import { FREQUENCY_NAMES, type LeaseQuote, type LeaseRow } from "@/core";
import { amountIn, dateIn, type Notation } from "@/exchange/notation";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { useWidth } from "@/features/figures/use-width";

const HEIGHT = 150;
const MARGIN = { top: 20, right: 96, bottom: 22, left: 64 };
const FIRST_WIDTH = 760;

type Props = { quote: LeaseQuote; notation: Notation; stale: boolean };

/** What the vehicle still stands for, payment by payment, down to the residual; the table below says the same. */
export function ResidualChart({ quote, notation, stale }: Props) {
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame, FIRST_WIDTH);
  const [pointed, setPointed] = useState<number | null>(null);
  const { schedule, cost, residual, lease } = quote;
  const money = (minor: number) => amountIn(minor, lease.currency, notation);
  const points = pointsOf(schedule, cost);
  const last = points.at(-1) ?? { period: 0, balance: residual };
  const span = Math.max(last.period, 1);
  const room = width - MARGIN.left - MARGIN.right;
  const x = (periods: number) => MARGIN.left + (periods / span) * room;
  const up = ticksUp(Math.max(...points.map(({ balance }) => balance), 1));
  const top = up.at(-1) ?? 1;
  const y = (minor: number) => HEIGHT - MARGIN.bottom - (minor / top) * (HEIGHT - MARGIN.bottom - MARGIN.top);
  const across = (point: Point) => x(point.period);
  const heightOf = (point: Point) => y(point.balance);
  const edge = line<Point>(across, heightOf)(points) ?? "";
  const ground = area<Point>(across, y(0), heightOf)(points) ?? "";
  const { period } = FREQUENCY_NAMES[quote.filled.plan.frequency];
  const shown = pointed === null ? undefined : points[pointed];
  const isFound = lease.find === "residual" || lease.find === "residualPercent";
  const wholePeriods = ticksAcross(last.period);
  const nearest = (clientX: number) => {
    const left = frame.current?.getBoundingClientRect().left ?? 0;
    const at = ((clientX - left - MARGIN.left) / room) * span;
    return points.reduce(
      (best, each, index) =>
        Math.abs(each.period - at) < Math.abs((points[best]?.period ?? 0) - at) ? index : best,
      0,
    );
  };
  return (
    <figure ref={frame} className={`m-0 shrink-0 ${stale ? "stale" : ""}`}>
      <svg
        role="img"
        aria-label={`What the vehicle still stands for: from ${money(cost)} at signing down to ${money(residual)}. Every step is in the table below.`}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        className="block w-full text-faint"
        height={HEIGHT}
        onPointerMove={event => setPointed(nearest(event.clientX))}
        onPointerLeave={() => setPointed(null)}
      >
        <text x={MARGIN.left} y={12} className="fill-current text-xs">
          {shown
            ? pointText(shown, money, notation, period)
            : `what the vehicle still stands for, ${lease.currency}`}
        </text>
        <AmountGrid
          lines={up.map(tick => ({
            y: y(tick),
            text: amountIn(tick, lease.currency, notation).replace(/[.,]0+$/, ""),
          }))}
          left={MARGIN.left}
          right={width - MARGIN.right}
        />
        <path d={ground} fill="var(--color-primary)" opacity={0.1} />
        <path d={edge} fill="none" stroke="var(--color-primary)" strokeWidth={2} />
        {wholePeriods.map(tick => (
          <text
            key={tick}
            x={x(tick)}
            y={HEIGHT - 6}
            textAnchor={tick === 0 ? "start" : "middle"}
            className="fill-current text-xs"
          >
            {tick === 0 ? "signing" : tick === wholePeriods.at(-1) ? timesText(tick, period) : tick}
          </text>
        ))}
        <line
          x1={x(last.period)}
          x2={x(last.period)}
          y1={y(0)}
          y2={y(residual)}
          stroke="var(--found-line)"
          strokeWidth={4}
        />
        <text
          x={x(last.period) + 8}
          y={Math.min(y(residual) + 4, y(0) - 18)}
          className="fill-base-content text-xs"
          dominantBaseline="middle"
        >
          <tspan x={x(last.period) + 8} className="font-semibold">
            residual{isFound ? ", found" : ""}
          </tspan>
          <tspan x={x(last.period) + 8} dy={15}>
            {money(residual)}
          </tspan>
        </text>
        {shown && <circle cx={x(shown.period)} cy={y(shown.balance)} r={4} fill="var(--color-primary)" />}
      </svg>
    </figure>
  );
}

type Point = { period: number; balance: number; row?: LeaseRow };

/** The cost at signing, then what is left after each line; what falls on one day is one step down. */
function pointsOf(schedule: readonly LeaseRow[], cost: number): Point[] {
  return [
    { period: 0, balance: cost },
    ...schedule.map(row => ({ period: row.period, balance: row.balance, row })),
  ];
}

function pointText(
  { row, balance }: Point,
  money: (minor: number) => string,
  notation: Notation,
  period: string,
): string {
  if (!row) return `at signing: ${money(balance)}`;
  const when = row.date === null ? `after ${row.period} × ${period}` : dateIn(row.date, notation);
  return `${row.kind === "closing" ? "at the end" : `after payment ${row.number}`}, ${when}: ${money(balance)}`;
}

/** "36 months", "8 quarters"; what is no single word is counted. */
function timesText(count: number, period: string): string {
  return period.includes(" ") ? `${count} × ${period}` : `${count} ${period}${count === 1 ? "" : "s"}`;
}

const ROUND = [1, 2, 5, 10];
const FEWEST_UP = 2;

/** Amounts from 0 to the first round one above what is shown. */
function ticksUp(highest: number): number[] {
  const power = 10 ** Math.floor(Math.log10(highest / FEWEST_UP));
  const step = power * (ROUND.find(each => each * power * FEWEST_UP >= highest) ?? 1);
  return Array.from({ length: FEWEST_UP + 1 }, (_, index) => index * step);
}

const STEPS = [1, 2, 3, 4, 6, 12, 24, 36, 60, 120];
const MOST_STEPS = 6;

/** Whole periods from signing to the end, in steps that fit months, quarters and years. */
function ticksAcross(periods: number): number[] {
  const step = STEPS.find(each => periods / each <= MOST_STEPS) ?? periods;
  const ticks = Array.from({ length: Math.floor(periods / step) + 1 }, (_, index) => index * step);
  const before = ticks.filter(tick => periods - tick >= step / 2 || tick === 0);
  return before.at(-1) === periods ? before : [...before, periods];
}
