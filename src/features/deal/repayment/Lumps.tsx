import { type PointerEvent, useRef } from "react";
import type { LoanQuote, PaymentRow } from "@/core";
import { isoDate, parseAmount, parseIsoDate } from "@/core";
import type { RepaymentChart } from "@/exchange/charts/repayment-chart";
import { amountIn } from "@/exchange/notation";
import { useNotation } from "../option/option-context";
import { type OnceFile, withOnceAt } from "./early-changes";
import { useTried } from "./tried-context";
import type { Tried } from "./use-early";

type Props = {
  quote: LoanQuote;
  /** The table that is shown. */
  rows: readonly PaymentRow[];
  chart: RepaymentChart;
};

/** Money that comes once, on the chart: dragged or moved with the arrows it comes after another payment. */
export function Lumps({ quote, rows, chart }: Props) {
  const tried = useTried();
  return (tried.early.once ?? []).map((once, index) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: it is its place in the list, so that it keeps the focus.
    <Lump key={index} once={once} index={index} quote={quote} rows={rows} tried={tried} chart={chart} />
  ));
}

type LumpProps = Props & { tried: Tried; once: OnceFile; index: number };

function Lump({ once, index, quote, rows, tried, chart }: LumpProps) {
  const { notation } = useNotation();
  const isHeld = useRef(false);
  const after = afterOf(once, quote);
  const minor = parseAmount(String(once.amount ?? "0"), quote.decimals) ?? 0;
  if (after === undefined || minor === 0) return null;
  const move = (number: number) => {
    const to = Math.min(Math.max(number, 1), quote.payments);
    if (to === after) return;
    const date = quote.schedule.find(row => row.number === to)?.date;
    const isByDay = once.date !== undefined && date != null;
    tried.change(
      now => withOnceAt(now, index, isByDay ? { date: isoDate(date) } : { after: to }),
      `when ${index}`,
    );
  };
  const place = rows.findLastIndex(({ number }) => number <= after);
  const [x, y] = [chart.across(after), chart.points[place]?.y ?? chart.zero];
  const amount = amountIn(minor, quote.deal.currency, notation);
  const onMove = (event: PointerEvent<HTMLElement>) => {
    const frame = event.currentTarget.closest("figure")?.getBoundingClientRect();
    if (isHeld.current && frame) move(chart.periodAt(event.clientX - frame.left));
  };
  return (
    <>
      <span
        role="slider"
        tabIndex={0}
        aria-label={`Extra ${index + 1} of ${amount}: after which payment`}
        aria-valuemin={1}
        aria-valuemax={quote.payments}
        aria-valuenow={after}
        aria-valuetext={`after payment ${after}`}
        className="absolute flex size-6 cursor-ew-resize touch-none items-center justify-center rounded-full print:hidden"
        style={{ left: x - 12, top: y - 12 }}
        onPointerDown={event => {
          isHeld.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={onMove}
        onPointerUp={() => {
          isHeld.current = false;
        }}
        onKeyDown={event => {
          const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
          if (step === undefined) return;
          event.preventDefault();
          move(after + step);
        }}
      >
        <span className="size-3.5 rounded-full border-2 border-base-100 bg-[var(--found-line)]" />
      </span>
      <span
        aria-hidden="true"
        className="pointer-events-none absolute whitespace-nowrap rounded bg-base-100/80 px-1 text-xs print:hidden"
        style={{ left: x + 12, top: y - 20 }}
      >
        {amount}, drag to move it
      </span>
    </>
  );
}

/** Right after which payment it comes; a day between two counts as the one before. */
function afterOf({ after, date }: OnceFile, { schedule }: LoanQuote): number | undefined {
  if (after !== undefined) return after;
  const day = date === undefined ? undefined : parseIsoDate(date);
  if (day === undefined) return undefined;
  return schedule.findLast(row => row.date !== null && row.date <= day)?.number ?? 1;
}
