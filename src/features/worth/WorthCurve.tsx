import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import { LONGEST_KEPT } from "@/core/horizon";
import { type ValueChart, valueChart } from "@/exchange/charts/value-chart";
import type { KeepForFile } from "@/exchange/keep-for/keep-for.schema";
import { inNotation, type Notation } from "@/exchange/notation";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { useWidth } from "@/features/figures/use-width";
import { focusSoon } from "@/features/focus/focus-soon";
import { TypedFigure } from "@/features/typing/TypedFigure";
import { readMonths, readPercentOrNone } from "./read-figures";

type Points = KeepForFile["value"]["points"];

type Props = {
  points: Points;
  /** How long it is kept, which is marked; null where that is not asked. */
  months: number | null;
  longest: number;
  notation: Notation;
  onPoints: (points: Points) => void;
};

const HEIGHT = 156;
const MARGIN = { top: 12, right: 14, bottom: 22, left: 46 };
const NOT_YET = 0;
const HIGHEST_PERCENT = 1000;
const MOST_POINTS = 60;

/** A curve of values: its points are dragged, moved with the arrows, or typed. */
export function WorthCurve({ points, months, longest, notation, onPoints }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame, NOT_YET);
  // The list stays in the order in which it was typed, so that a month that is being typed keeps its place.
  const ordered = [...points].sort((one, other) => one.month - other.month);
  const far = Math.max(longest, ordered.at(-1)?.month ?? 0, 12);
  const put = (index: number, next: Partial<Points[number]>) =>
    onPoints(points.map((point, at) => (at === index ? { ...point, ...next } : point)));
  const chart =
    width === NOT_YET
      ? null
      : valueChart(
          ordered.map(({ month, percent }) => ({ month, percent: Number(percent) })),
          far,
          { width, height: HEIGHT, margin: MARGIN },
        );
  return (
    <>
      <div ref={frame} className="relative" style={{ height: HEIGHT }}>
        {chart && (
          <>
            <svg
              role="img"
              aria-label="What it is worth by its age, in percent; the figures are below."
              viewBox={`0 0 ${width} ${HEIGHT}`}
              height={HEIGHT}
              className="block w-full text-faint"
            >
              <AmountGrid
                lines={chart.percents.map(({ percent, y }) => ({ y, text: `${percent} %` }))}
                left={MARGIN.left}
                right={width - MARGIN.right}
              />
              {chart.months.map(({ count, x }) => (
                <text key={count} x={x} y={HEIGHT - 5} textAnchor="middle" className="fill-current text-xs">
                  {count}
                </text>
              ))}
              {months !== null && (
                <line
                  x1={chart.across(months)}
                  x2={chart.across(months)}
                  y1={MARGIN.top}
                  y2={HEIGHT - MARGIN.bottom}
                  stroke="var(--found-line)"
                  strokeDasharray="3 3"
                />
              )}
              <path d={chart.path} fill="none" stroke="var(--color-base-content)" strokeWidth={2} />
            </svg>
            {ordered.map(({ month, percent }, index) => (
              <Handle
                key={month}
                chart={chart}
                index={index}
                month={month}
                percent={Number(percent)}
                onPercent={next =>
                  put(
                    points.findIndex(each => each.month === month),
                    { percent: String(next) },
                  )
                }
              />
            ))}
          </>
        )}
      </div>
      <ul className="mt-1 flex flex-wrap gap-x-3 gap-y-1 text-sm" aria-label="Points of the curve">
        {points.map(({ month, percent }, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a point is known by its place while its month is typed
          <li key={index} className="flex items-center gap-1">
            <TypedFigure
              label={`Point ${index + 1}: month`}
              className="w-14"
              shown={String(month)}
              value={month}
              notation={notation}
              read={text => {
                const read = readMonths(text, notation, 0);
                const isTaken =
                  "value" in read && points.some((other, at) => at !== index && other.month === read.value);
                return isTaken ? { sentence: "There is a point at that month already." } : read;
              }}
              put={value => put(index, { month: value })}
            />
            <TypedFigure
              label={`Point ${index + 1}: percent`}
              className="w-20"
              shown={inNotation(`${percent} %`, notation)}
              value={String(percent)}
              notation={notation}
              read={text => {
                const read = readPercentOrNone(text, notation, { most: HIGHEST_PERCENT });
                return "value" in read ? { value: read.value ?? "0" } : read;
              }}
              put={value => put(index, { percent: value })}
            />
            {points.length > 1 && (
              <button
                type="button"
                className="min-h-6 min-w-6 cursor-pointer text-primary"
                aria-label={`Remove the point at month ${month}`}
                onClick={() => {
                  onPoints(points.filter((_, at) => at !== index));
                  focusSoon("[data-add-point]");
                }}
              >
                ×
              </button>
            )}
          </li>
        ))}
        {points.length < MOST_POINTS && (
          <li>
            <button
              type="button"
              data-add-point
              className="min-h-6 cursor-pointer font-semibold text-primary"
              onClick={() => onPoints([...points, nextAfter(ordered)])}
            >
              + point
            </button>
          </li>
        )}
      </ul>
    </>
  );
}

const YEAR = 12;
const LOST_A_YEAR = 0.85;

/** A year later, and worth less. */
function nextAfter(points: Points): Points[number] {
  const { month, percent } = points.at(-1) ?? { month: 0, percent: "100" };
  const taken = new Set(points.map(each => each.month));
  let next = Math.min(month + YEAR, LONGEST_KEPT);
  while (taken.has(next)) next -= 1;
  return { month: next, percent: String(Math.round(Number(percent) * LOST_A_YEAR)) };
}

type HandleProps = {
  chart: ValueChart;
  index: number;
  month: number;
  percent: number;
  onPercent: (percent: number) => void;
};

/** A point that is dragged up and down, or moved with the arrows. */
function Handle({ chart, index, month, percent, onPercent }: HandleProps) {
  const isHeld = useRef(false);
  const { x, y } = chart.points[index] ?? { x: 0, y: 0 };
  const move = (next: number) => onPercent(Math.min(Math.max(next, 0), HIGHEST_PERCENT));
  const onMove = (event: PointerEvent<HTMLElement>) => {
    const frame = event.currentTarget.parentElement?.getBoundingClientRect();
    if (isHeld.current && frame) move(chart.percentAt(event.clientY - frame.top));
  };
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }[
      event.key
    ];
    if (step === undefined) return;
    event.preventDefault();
    move(Math.round(percent) + step);
  };
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={`Worth after ${month} months`}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={HIGHEST_PERCENT}
      aria-valuenow={percent}
      aria-valuetext={`${percent} %`}
      className="absolute flex size-6 cursor-ns-resize touch-none items-center justify-center rounded-full print:hidden"
      style={{ left: x - 12, top: y - 12 }}
      onPointerDown={event => {
        isHeld.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={onMove}
      onPointerUp={() => {
        isHeld.current = false;
      }}
      onKeyDown={onKey}
    >
      <span className="size-3.5 rounded-full border-2 border-base-100 bg-[var(--found-line)]" />
    </span>
  );
}
