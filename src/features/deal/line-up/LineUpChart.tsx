import { useRef, useState } from "react";
import { moneyAfter } from "@/core";
import { type LineUpShown, lineUpChart } from "@/exchange/charts/line-up-chart";
import { amountIn, type Notation } from "@/exchange/notation";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { LineLabel, shortName } from "@/features/figures/LineLabel";
import { lineAt, Swatch } from "@/features/figures/line-styles";
import { MonthTable } from "@/features/figures/MonthTable";
import { useWidth } from "@/features/figures/use-width";
import { wholeAmount } from "./figure-text";
import type { Column } from "./line-up";

type Props = {
  columns: readonly Column[];
  currency: string;
  notation: Notation;
  /** Where the cursor rests. */
  months: number;
  longest: number;
  onMonths: (months: number) => void;
};

const TITLES: Record<LineUpShown, string> = { paid: "Paid so far", owed: "Still owed" };

const HEIGHT = 260;
/** Nothing is drawn before it is known how wide. */
const NOT_YET = 0;
const MARGIN = { top: 12, right: 190, bottom: 26, left: 72 };

/** What is paid so far, or still owed, of all options over the months; a cursor reads them all at one of them. */
export function LineUpChart({ columns, currency, notation, months, longest, onMonths }: Props) {
  const [shown, setShown] = useState<LineUpShown>("paid");
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
          {(Object.keys(TITLES) as LineUpShown[]).map(each => (
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
            <Swatch line={lineAt(index)} /> {index + 1} · {shortName(called)}{" "}
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
  shown: LineUpShown;
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
  const margin = { ...MARGIN, right: isNarrow ? 24 : MARGIN.right };
  const chart = lineUpChart(
    followed.map(({ money }) => money),
    shown,
    longest,
    { width, height: HEIGHT, margin },
  );
  const cursor = chart.across(at);
  return (
    <svg
      role="img"
      aria-label={`${TITLES[shown]} over ${longest} months; the table below says the same.`}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      height={HEIGHT}
      className="block w-full text-faint"
      onPointerMove={event => {
        const left = event.currentTarget.getBoundingClientRect().left;
        onPoint(chart.monthAt(event.clientX - left));
      }}
      onPointerLeave={() => onPoint(null)}
    >
      <AmountGrid
        lines={chart.amounts.map(({ minor, y }) => ({ y, text: wholeText(minor) }))}
        left={MARGIN.left}
        right={width - margin.right}
      />
      {chart.months.map(({ count, x }) => (
        <text
          key={count}
          x={x}
          y={HEIGHT - 8}
          textAnchor={count === 0 ? "start" : "middle"}
          className="fill-current text-xs"
        >
          {count === 0 ? "signing" : `${count} months`}
        </text>
      ))}
      <line
        x1={cursor}
        x2={cursor}
        y1={MARGIN.top}
        y2={HEIGHT - MARGIN.bottom}
        stroke="var(--found-line)"
        strokeDasharray="2 3"
      />
      {chart.lines.map(({ path, end, label }, place) => {
        const { id, index, called } = followed[place] as Followed;
        const { stroke, dash } = lineAt(index);
        const reading = chart.spotAt(place, at);
        return (
          <g key={id}>
            <path d={path} fill="none" stroke={stroke} strokeWidth={2} strokeDasharray={dash} />
            <circle cx={end.x} cy={end.y} r={3.5} fill={stroke} />
            {reading && <circle cx={reading.x} cy={reading.y} r={3.5} fill={stroke} />}
            {!isNarrow && (
              <LineLabel x={label.x + 9} y={label.y} stroke={stroke}>
                {`${index + 1} · ${shortName(called)}`}
              </LineLabel>
            )}
          </g>
        );
      })}
    </svg>
  );
}

type TableProps = {
  columns: readonly Column[];
  shown: LineUpShown;
  longest: number;
  amount: (minor: number) => string;
};

function ChartTable({ columns, shown, longest, amount }: TableProps) {
  const step = longest > 180 ? 24 : longest > 24 ? 6 : 1;
  const count = Math.floor(longest / step) + 1;
  const months = Array.from({ length: count }, (_, index) => index * step);
  if (months.at(-1) !== longest) months.push(longest);
  return (
    <MonthTable
      title={`${TITLES[shown]}, month by month`}
      head="after months"
      months={months}
      columns={columns.map(({ id, called, money }) => ({
        key: id,
        name: called,
        at: month =>
          month > Math.ceil(money.at(-1)?.months ?? 0) ? "–" : amount(moneyAfter(money, month)[shown]),
      }))}
    />
  );
}
