import { useRef, useState } from "react";
import { FREQUENCY_NAMES, type LeaseQuote } from "@/core";
import { type ResidualPoint, residualChart } from "@/exchange/charts/residual-chart";
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
  const { cost, residual, deal } = quote;
  const money = (minor: number) => amountIn(minor, deal.currency, notation);
  const chart = residualChart(quote, { width, height: HEIGHT, margin: MARGIN });
  const { period } = FREQUENCY_NAMES[quote.filled.plan.frequency];
  const shown = pointed === null ? undefined : chart.points[pointed];
  const isFound = deal.find === "residual" || deal.find === "residualPercent";
  const nearest = (clientX: number) =>
    chart.nearest(clientX - (frame.current?.getBoundingClientRect().left ?? 0));
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
            : `what the vehicle still stands for, ${deal.currency}`}
        </text>
        <AmountGrid
          lines={chart.amounts.map(({ minor, y }) => ({
            y,
            text: amountIn(minor, deal.currency, notation).replace(/[.,]0+$/, ""),
          }))}
          left={MARGIN.left}
          right={width - MARGIN.right}
        />
        <path d={chart.ground} fill="var(--color-primary)" opacity={0.1} />
        <path d={chart.edge} fill="none" stroke="var(--color-primary)" strokeWidth={2} />
        {chart.periods.map(({ count, x }, place) => (
          <text
            key={count}
            x={x}
            y={HEIGHT - 6}
            textAnchor={count === 0 ? "start" : "middle"}
            className="fill-current text-xs"
          >
            {count === 0 ? "signing" : place === chart.periods.length - 1 ? timesText(count, period) : count}
          </text>
        ))}
        <line
          x1={chart.residual.x}
          x2={chart.residual.x}
          y1={chart.zero}
          y2={chart.residual.y}
          stroke="var(--found-line)"
          strokeWidth={4}
        />
        <text
          x={chart.residual.x + 8}
          y={Math.min(chart.residual.y + 4, chart.zero - 18)}
          className="fill-base-content text-xs"
          dominantBaseline="middle"
        >
          <tspan x={chart.residual.x + 8} className="font-semibold">
            residual{isFound ? ", found" : ""}
          </tspan>
          <tspan x={chart.residual.x + 8} dy={15}>
            {money(residual)}
          </tspan>
        </text>
        {shown && <circle cx={shown.x} cy={shown.y} r={4} fill="var(--color-primary)" />}
      </svg>
    </figure>
  );
}

function pointText(
  { row, balance }: ResidualPoint,
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
