import { type KeyboardEvent, type PointerEvent, useMemo, useRef } from "react";
import { type LoanQuote, type PaymentRow, principalLeads } from "@/core";
import { repaymentChart } from "@/exchange/charts/repayment-chart";
import { amountIn, dateIn } from "@/exchange/notation";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { useWidth } from "@/features/figures/use-width";
import { useNotation } from "../option/option-context";
import { inOrder, type Range } from "./range";

const HEIGHT = 204;
const MARGIN = { top: 22, right: 92, bottom: 20, left: 64 };
const FIRST_WIDTH = 800;

type Props = {
  quote: LoanQuote;
  rows: readonly PaymentRow[];
  isPlanned: boolean;
  pointed: number | null;
  onPoint: (place: number | null) => void;
  range: Range | null;
  onRange: (range: Range | null) => void;
  stale: boolean;
};

/** What is owed and paid, payment by payment; the table below says the same. */
export function RepaymentChart({ quote, rows, isPlanned, pointed, onPoint, range, onRange, stale }: Props) {
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame, FIRST_WIDTH);
  const { notation } = useNotation();
  const { deal, loanAmount } = quote;
  const money = (minor: number) => amountIn(minor, deal.currency, notation);
  const chart = useMemo(
    () => repaymentChart(rows, quote.schedule, loanAmount, { width, height: HEIGHT, margin: MARGIN }),
    [rows, quote.schedule, loanAmount, width],
  );
  const anchor = useRef<number | null>(null);
  const placeAt = (event: PointerEvent) =>
    chart.nearest(event.clientX - (frame.current?.getBoundingClientRect().left ?? 0));
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const to = Math.min(Math.max((pointed ?? -1) + step, 0), rows.length - 1);
    onPoint(to);
    if (event.shiftKey) onRange({ from: range?.from ?? pointed ?? to, to });
  };
  const shown = pointed === null ? undefined : chart.points[pointed];
  const { from, to } = range ? inOrder(range) : { from: -1, to: -1 };
  const [first, last] = [chart.points[from], chart.points[to]];
  const foot = HEIGHT - MARGIN.bottom;
  const half = chart.points.length > 1 ? ((chart.points[1]?.x ?? 0) - (chart.points[0]?.x ?? 0)) / 2 : 0;
  return (
    <figure ref={frame} className={`m-0 shrink-0 px-0 ${stale ? "stale" : ""}`}>
      <svg
        role="img"
        tabIndex={0}
        aria-label={`What is owed, from ${money(loanAmount)} down, and what each payment is made of. Left and right go from payment to payment, with Shift they choose. Every figure is in the table below.`}
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
          {shown
            ? pointText(shown.row, money, row => (row.date === null ? "" : `, ${dateIn(row.date, notation)}`))
            : `what is owed, ${deal.currency}. ${leadText(quote)}`}
        </text>
        <AmountGrid
          lines={chart.amounts.map(({ minor, y }) => ({
            y,
            text: amountIn(minor, deal.currency, notation).replace(/[.,]0+$/, ""),
          }))}
          left={MARGIN.left}
          right={width - MARGIN.right}
        />
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
        <path d={chart.ground} fill="var(--color-primary)" opacity={0.1} />
        {!isPlanned && (
          <path d={chart.planned} fill="none" stroke="currentColor" strokeDasharray="5 4" strokeWidth={1.5} />
        )}
        <path d={chart.owed} fill="none" stroke="var(--color-primary)" strokeWidth={2} />
        <path d={chart.interest} fill="none" stroke="var(--found-line)" strokeWidth={1.5} />
        <Ends chart={chart} isPlanned={isPlanned} right={width - MARGIN.right} />
        {chart.bars.map(({ place, x, width: wide, interest, principal }) => (
          <g key={place} opacity={place >= from && place <= to ? 1 : 0.6}>
            <rect x={x} width={wide} {...principal} fill="var(--color-primary)" />
            <rect x={x} width={wide} {...interest} fill="var(--found-line)" />
          </g>
        ))}
        {chart.bars.length > 0 && (
          <text x={width - MARGIN.right + 8} y={foot - 22} className="fill-current text-xs">
            <tspan x={width - MARGIN.right + 8}>interest</tspan>
            <tspan x={width - MARGIN.right + 8} dy={16}>
              principal
            </tspan>
          </text>
        )}
        {chart.years.map(({ text, x }) => (
          <text key={text} x={x} y={HEIGHT - 5} textAnchor="middle" className="fill-current text-xs">
            {text}
          </text>
        ))}
        {shown && (
          <>
            <line x1={shown.x} x2={shown.x} y1={MARGIN.top} y2={foot} stroke="var(--color-base-300)" />
            <circle cx={shown.x} cy={shown.y} r={4} fill="var(--color-primary)" />
          </>
        )}
      </svg>
    </figure>
  );
}

/** From which payment on more goes to principal than to interest. */
function leadText({ schedule }: LoanQuote): string {
  const leads = principalLeads(schedule);
  if (leads === "always") return "More of every payment goes to principal than to interest.";
  if (leads === "never") return "No payment repays more principal than it pays interest.";
  return `From payment ${leads} on more goes to principal than to interest.`;
}

type EndsProps = { chart: ReturnType<typeof repaymentChart>; isPlanned: boolean; right: number };

/** What each line is, at its end. */
function Ends({ chart, isPlanned, right }: EndsProps) {
  const interestY = Number(/,(-?[\d.]+)$/.exec(chart.interest)?.[1] ?? chart.zero);
  const owedY = Math.min(chart.zero, interestY > chart.zero - 18 ? interestY - 16 : chart.zero);
  return (
    <>
      <text x={right + 8} y={interestY} dominantBaseline="middle" className="fill-base-content text-xs">
        interest so far
      </text>
      <text x={right + 8} y={owedY + (owedY === chart.zero ? -2 : 0)} className="fill-base-content text-xs">
        {isPlanned ? "owed" : "owed, tried"}
      </text>
    </>
  );
}

function pointText(
  row: PaymentRow,
  money: (minor: number) => string,
  date: (row: PaymentRow) => string,
): string {
  const { number, payment, interest, principal, balance } = row;
  return `payment ${number}${date(row)}: ${money(payment)}, of it ${money(interest)} interest and ${money(principal)} principal; ${money(balance)} owed after it`;
}
