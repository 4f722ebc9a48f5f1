import { scaleLinear } from "d3-scale";
import { useRef, useState } from "react";
import { type MoneyAt, moneyAfter } from "@/core";
import { amountIn, type Notation } from "@/exchange/notation";
import { firstCharacters } from "@/exchange/text";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { useWidth } from "@/features/figures/use-width";
import { wholeAmount } from "./figure-text";
import type { Column } from "./line-up";
import { placedLabels } from "./placed-labels";

type Props = {
  columns: readonly Column[];
  currency: string;
  notation: Notation;
  /** Where the cursor rests. */
  months: number;
  longest: number;
  onMonths: (months: number) => void;
};

type Shown = "paid" | "owed";

const TITLES: Record<Shown, string> = { paid: "Paid so far", owed: "Still owed" };

const HEIGHT = 260;
/** Nothing is drawn before it is known how wide. */
const NOT_YET = 0;
const MARGIN = { top: 12, right: 190, bottom: 26, left: 72 };

/** A colour and a pattern for each place, so that lines are told apart without colour. */
const LINES = [
  { stroke: "var(--color-primary)", dash: undefined },
  { stroke: "var(--color-info)", dash: "7 4" },
  { stroke: "var(--color-accent-content)", dash: "2 3" },
  { stroke: "var(--color-secondary)", dash: "10 3 2 3" },
  { stroke: "var(--color-success)", dash: "4 2" },
  { stroke: "var(--color-error)", dash: "1 4" },
  { stroke: "var(--color-warning)", dash: "12 4" },
  { stroke: "var(--color-base-content)", dash: "6 2 1 2 1 2" },
];
const lineAt = (index: number) => LINES[index % LINES.length] as (typeof LINES)[number];

/** What is paid so far, or still owed, of all options over the months; a cursor reads them all at one of them. */
export function LineUpChart({ columns, currency, notation, months, longest, onMonths }: Props) {
  const [shown, setShown] = useState<Shown>("paid");
  const [pointed, setPointed] = useState<number | null>(null);
  const [isTable, setTable] = useState(false);
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame, NOT_YET);
  const at = pointed ?? months;
  const amount = (minor: number) => amountIn(minor, currency, notation);
  const followed = columns.flatMap((column, index) => (column.money.length > 0 ? { ...column, index } : []));
  return (
    <figure ref={frame} className="m-0 shrink-0 px-4 pt-1 pb-3">
      <figcaption className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <span className="font-semibold">
          {TITLES[shown]}, {currency}
        </span>
        <fieldset className="flex gap-3 text-sm">
          <legend className="sr-only">What the chart shows</legend>
          {(Object.keys(TITLES) as Shown[]).map(each => (
            <label key={each} className="flex cursor-pointer items-center gap-1.5">
              <input
                type="radio"
                name="line-up-chart"
                className="radio radio-sm bg-base-100"
                checked={each === shown}
                onChange={() => setShown(each)}
              />
              {TITLES[each].toLowerCase()}
            </label>
          ))}
        </fieldset>
        <label className="ml-auto flex items-center gap-2 text-sm">
          <span className="text-faint">read at month</span>
          <input
            type="range"
            min={0}
            max={longest}
            value={months}
            className="w-44 accent-primary"
            onChange={event => onMonths(Number(event.target.value))}
          />
          <span className="w-8 text-right">{months}</span>
        </label>
      </figcaption>
      {width === NOT_YET ? (
        <div style={{ height: HEIGHT }} />
      ) : (
        <Drawing
          followed={followed}
          shown={shown}
          width={width}
          longest={longest}
          at={at}
          onPoint={setPointed}
          wholeText={minor => wholeAmount(minor, currency, notation)}
        />
      )}
      <ul className="flex flex-wrap gap-x-5 gap-y-0.5 text-sm" aria-live="polite">
        <li className="text-faint">{at === 0 ? "at signing" : `after ${at} months`}</li>
        {followed.map(({ id, index, called, money }) => (
          <li key={id}>
            <Swatch index={index} /> {index + 1} · {short(called)}{" "}
            <strong className="font-semibold">
              {at > (money.at(-1)?.months ?? 0) ? "ended" : amount(moneyAfter(money, at)[shown])}
            </strong>
          </li>
        ))}
      </ul>
      <details className="mt-1 text-sm" onToggle={event => setTable(event.currentTarget.open)}>
        <summary className="cursor-pointer font-semibold text-primary">The chart as a table</summary>
        {isTable && <ChartTable columns={followed} shown={shown} longest={longest} amount={amount} />}
      </details>
    </figure>
  );
}

type Followed = Column & { index: number };

type DrawingProps = {
  followed: readonly Followed[];
  shown: Shown;
  width: number;
  longest: number;
  /** The month that is read. */
  at: number;
  onPoint: (month: number | null) => void;
  /** An amount of the scale, in whole units. */
  wholeText: (minor: number) => string;
};

/** The lines of all options, with the cursor. */
function Drawing({ followed, shown, width, longest, at, onPoint, wholeText }: DrawingProps) {
  const isNarrow = width < 600;
  const right = width - (isNarrow ? 24 : MARGIN.right);
  const x = scaleLinear([0, longest], [MARGIN.left, right]);
  let highest = 1;
  for (const { money } of followed) for (const point of money) highest = Math.max(highest, point[shown]);
  const y = scaleLinear([0, highest], [HEIGHT - MARGIN.bottom, MARGIN.top]).nice(4);
  const stepsOf = (money: readonly MoneyAt[]) =>
    steps(money.map(point => [x(point.months), y(point[shown])] as const));
  const labels = placedLabels(
    followed.map(({ money }) => {
      const last = money.at(-1) as MoneyAt;
      return { x: x(last.months), y: y(last[shown]) };
    }),
    { top: MARGIN.top, bottom: HEIGHT - MARGIN.bottom },
  );
  return (
    <svg
      role="img"
      aria-label={`${TITLES[shown]} over ${longest} months; the table below says the same.`}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      height={HEIGHT}
      className="block w-full text-faint"
      onPointerMove={event => {
        const left = event.currentTarget.getBoundingClientRect().left;
        onPoint(Math.max(0, Math.min(longest, Math.round(x.invert(event.clientX - left)))));
      }}
      onPointerLeave={() => onPoint(null)}
    >
      <AmountGrid
        lines={y.ticks(4).map(tick => ({ y: y(tick), text: wholeText(tick) }))}
        left={MARGIN.left}
        right={right}
      />
      {monthTicks(longest).map(tick => (
        <text
          key={tick}
          x={x(tick)}
          y={HEIGHT - 8}
          textAnchor={tick === 0 ? "start" : "middle"}
          className="fill-current text-xs"
        >
          {tick === 0 ? "signing" : `${tick} months`}
        </text>
      ))}
      <line
        x1={x(at)}
        x2={x(at)}
        y1={MARGIN.top}
        y2={HEIGHT - MARGIN.bottom}
        stroke="var(--found-line)"
        strokeDasharray="2 3"
      />
      {followed.map(({ id, index, money, called }, place) => {
        const { stroke, dash } = lineAt(index);
        const last = money.at(-1) as MoneyAt;
        const reading = moneyAfter(money, at);
        const label = labels[place];
        return (
          <g key={id}>
            <path d={stepsOf(money)} fill="none" stroke={stroke} strokeWidth={2} strokeDasharray={dash} />
            <circle cx={x(last.months)} cy={y(last[shown])} r={3.5} fill={stroke} />
            {at <= last.months && <circle cx={x(at)} cy={y(reading[shown])} r={3.5} fill={stroke} />}
            {label && !isNarrow && (
              <text
                x={label.x + 9}
                y={label.y}
                dominantBaseline="middle"
                fill={stroke}
                stroke="var(--color-base-100)"
                strokeWidth={4}
                paintOrder="stroke"
                className="font-semibold text-xs"
              >
                {index + 1} · {short(called)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** A path of steps: along to the next point, then up or down to it; to a tenth of a dot. */
function steps(points: readonly (readonly [x: number, y: number])[]): string {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const [first = [0, 0], ...others] = points;
  let path = `M${tenth(first[0])},${tenth(first[1])}`;
  for (const [x, y] of others) path += `H${tenth(x)}V${tenth(y)}`;
  return path;
}

function Swatch({ index }: { index: number }) {
  const { stroke, dash } = lineAt(index);
  return (
    <svg width={22} height={8} aria-hidden="true" className="inline">
      <line x1={0} x2={22} y1={4} y2={4} stroke={stroke} strokeWidth={2} strokeDasharray={dash} />
    </svg>
  );
}

type TableProps = {
  columns: readonly Column[];
  shown: Shown;
  longest: number;
  amount: (minor: number) => string;
};

function ChartTable({ columns, shown, longest, amount }: TableProps) {
  const step = longest > 180 ? 24 : longest > 24 ? 6 : 1;
  const count = Math.floor(longest / step) + 1;
  const months = Array.from({ length: count }, (_, index) => index * step);
  if (months.at(-1) !== longest) months.push(longest);
  return (
    <div className="overflow-x-auto">
      <table className="mt-1 text-right">
        <caption className="sr-only">{TITLES[shown]}, month by month</caption>
        <thead>
          <tr>
            <th scope="col" className="pr-6 text-left font-normal text-faint">
              after months
            </th>
            {columns.map(({ id, called }) => (
              <th key={id} scope="col" className="pl-6 font-semibold">
                {called}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {months.map(month => (
            <tr key={month}>
              <th scope="row" className="text-left font-normal">
                {month}
              </th>
              {columns.map(({ id, money }) => (
                <td key={id} className="pl-6">
                  {month > Math.ceil(money.at(-1)?.months ?? 0)
                    ? "–"
                    : amount(moneyAfter(money, month)[shown])}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const LONGEST_LABEL = 24;
const short = (called: string) =>
  called.length > LONGEST_LABEL ? `${firstCharacters(called, LONGEST_LABEL - 1)}…` : called;

const STEPS = [1, 2, 3, 6, 12, 24, 36, 60, 120, 240];
const MOST_TICKS = 8;

function monthTicks(longest: number): number[] {
  const step = STEPS.find(each => longest / each <= MOST_TICKS) ?? longest;
  return Array.from({ length: Math.floor(longest / step) + 1 }, (_, index) => index * step);
}
