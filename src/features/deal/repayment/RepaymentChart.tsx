import { type KeyboardEvent, memo, type PointerEvent, type ReactNode, useMemo, useRef } from "react";
import {
  type ChartLine,
  type RepaymentChart as Picture,
  repaymentChart,
} from "@/exchange/charts/repayment-chart";
import { amountIn } from "@/exchange/notation";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { useWidth } from "@/features/figures/use-width";
import { useNotation } from "../option/option-context";
import type { Marks } from "./marks";
import { inOrder } from "./range";

const HEIGHT = 204;
const MARGIN = { top: 22, right: 92, bottom: 20, left: 64 };
const FIRST_WIDTH = 800;

/** What the chart's parts are called. */
type ChartWords = {
  /** What it shows, for who cannot see it. */
  label: string;
  /** What stands above it while nothing is pointed at. */
  title: string;
  /** What is owed or left, and interest or rent so far, at the ends of their lines. */
  balance: string;
  costSoFar: string;
  /** What each payment is made of. */
  cost: string;
  principal: string;
};

type Props = {
  lines: readonly ChartLine[];
  /** The same as planned, where what is shown is tried; the very same where nothing is. */
  planned: readonly ChartLine[];
  /** What is owed before the first line. */
  start: number;
  currency: string;
  words: ChartWords;
  /** What is said of the line that is pointed at. */
  said: (place: number) => string;
  marks: Marks;
  stale: boolean;
  /** What else stands on it, by the same measure. */
  children?: ((chart: Picture) => ReactNode) | undefined;
};

/** What is owed and paid, payment by payment; the table below says the same. */
export function RepaymentChart(props: Props) {
  const { lines, planned, start, currency, words, said, marks, stale, children } = props;
  const { pointed, onPoint, range, onRange } = marks;
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame, FIRST_WIDTH);
  const chart = useMemo(
    () => repaymentChart(lines, planned, start, { width, height: HEIGHT, margin: MARGIN }),
    [lines, planned, start, width],
  );
  const anchor = useRef<number | null>(null);
  const placeAt = (event: PointerEvent) =>
    chart.nearest(event.clientX - (frame.current?.getBoundingClientRect().left ?? 0));
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const to = Math.min(Math.max((pointed ?? -1) + step, 0), lines.length - 1);
    onPoint(to);
    if (event.shiftKey) onRange({ from: range?.from ?? pointed ?? to, to });
  };
  const shown = pointed === null ? undefined : chart.points[pointed];
  const { from, to } = range ? inOrder(range) : { from: -1, to: -1 };
  const [first, last] = [chart.points[from], chart.points[to]];
  const foot = HEIGHT - MARGIN.bottom;
  const half = (chart.across(1) - chart.across(0)) / 2;
  return (
    <figure
      ref={frame}
      className={`relative m-0 h-[204px] shrink-0 [contain:strict] ${stale ? "stale" : ""}`}
    >
      <svg
        role="img"
        tabIndex={0}
        aria-label={`${words.label} Left and right go from payment to payment, with Shift they choose. Every figure is in the table below.`}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        height={HEIGHT}
        className="block w-full touch-pan-y text-faint"
        onKeyDown={onKey}
        onPointerDown={event => {
          const place = placeAt(event);
          anchor.current = place;
          onRange({ from: place, to: place });
        }}
        onPointerMove={event => {
          const place = placeAt(event);
          onPoint(place);
          if (event.buttons === 1 && anchor.current !== null) onRange({ from: anchor.current, to: place });
        }}
        onPointerUp={() => {
          anchor.current = null;
        }}
        onPointerLeave={() => onPoint(null)}
      >
        <text x={MARGIN.left} y={13} className="fill-current text-xs" aria-live="polite">
          {pointed !== null && shown ? said(pointed) : words.title}
        </text>
        {first && last && (
          <rect
            x={first.x - half}
            width={Math.max(last.x - first.x + 2 * half, 2)}
            y={MARGIN.top}
            height={foot - MARGIN.top}
            fill="var(--color-primary)"
            opacity={0.14}
          />
        )}
        <Lines chart={chart} isTried={planned !== lines} currency={currency} words={words} width={width} />
        {shown && (
          <>
            <line x1={shown.x} x2={shown.x} y1={MARGIN.top} y2={foot} stroke="var(--color-base-300)" />
            <circle cx={shown.x} cy={shown.y} r={4} fill="var(--color-primary)" />
          </>
        )}
      </svg>
      {children?.(chart)}
    </figure>
  );
}

type LinesProps = { chart: Picture; isTried: boolean; currency: string; words: ChartWords; width: number };

/** All that stays while something is pointed at. */
const Lines = memo(function Lines({ chart, isTried, currency, words, width }: LinesProps) {
  const { notation } = useNotation();
  const right = width - MARGIN.right;
  const foot = HEIGHT - MARGIN.bottom;
  return (
    <>
      <AmountGrid
        lines={chart.amounts.map(({ minor, y }) => ({
          y,
          text: amountIn(minor, currency, notation).replace(/[.,]0+$/, ""),
        }))}
        left={MARGIN.left}
        right={right}
      />
      <path d={chart.ground} fill="var(--color-primary)" opacity={0.1} />
      {isTried && (
        <path d={chart.planned} fill="none" stroke="currentColor" strokeDasharray="5 4" strokeWidth={1.5} />
      )}
      <path d={chart.owed} fill="none" stroke="var(--color-primary)" strokeWidth={2} />
      <path d={chart.cost} fill="none" stroke="var(--found-line)" strokeWidth={1.5} />
      <Ends chart={chart} words={words} right={right} />
      <path d={chart.bars.principal} fill="var(--color-primary)" opacity={0.75} />
      <path d={chart.bars.cost} fill="var(--found-line)" opacity={0.75} />
      {chart.bars.principal !== "" && (
        <text x={right + 8} y={foot - 22} className="fill-current text-xs">
          <tspan x={right + 8}>{words.cost}</tspan>
          <tspan x={right + 8} dy={16}>
            {words.principal}
          </tspan>
        </text>
      )}
      {chart.years.map(({ text, x }) => (
        <text key={text} x={x} y={HEIGHT - 5} textAnchor="middle" className="fill-current text-xs">
          {text}
        </text>
      ))}
    </>
  );
});

/** What each line is, at its end. */
function Ends({ chart, words, right }: { chart: Picture; words: ChartWords; right: number }) {
  const { costEnd, zero, points } = chart;
  const end = points.at(-1)?.y ?? zero;
  const isNear = Math.abs(costEnd - end) < 16;
  const balanceY = isNear ? costEnd + (costEnd <= end ? 16 : -16) : Math.min(end, zero - 2);
  return (
    <>
      <text x={right + 8} y={costEnd} dominantBaseline="middle" className="fill-base-content text-xs">
        {words.costSoFar}
      </text>
      <text
        x={right + 8}
        y={Math.min(balanceY, zero + 6)}
        dominantBaseline="middle"
        className="fill-base-content text-xs"
      >
        {words.balance}
      </text>
    </>
  );
}
