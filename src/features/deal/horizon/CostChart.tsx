import { type PointerEvent, useRef, useState } from "react";
import { type HorizonChart, horizonChart } from "@/exchange/charts/horizon-chart";
import { lineName } from "@/exchange/keep-for/way-names";
import { amountIn } from "@/exchange/notation";
import { AmountGrid } from "@/features/figures/AmountGrid";
import { LineLabel, shortName } from "@/features/figures/LineLabel";
import { Swatch } from "@/features/figures/line-styles";
import { MonthTable } from "@/features/figures/MonthTable";
import { useWidth } from "@/features/figures/use-width";
import { useNotation } from "../option/option-context";
import type { Horizon } from "./use-horizon";
import { wayStyle } from "./way-style";

type Props = { horizon: Horizon; told: NonNullable<Horizon["told"]>; names: readonly string[] };

const HEIGHT = 300;
const MARGIN = { top: 14, right: 168, bottom: 38, left: 72 };
const NARROW = 560;
const NOT_YET = 0;

/** What each way costs over every length; the one that is chosen is marked, and a press chooses another. */
export function CostChart({ horizon, told, names }: Props) {
  const { notation } = useNotation();
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame, NOT_YET);
  const [pointed, setPointed] = useState<number | null>(null);
  const [isTable, setTable] = useState(false);
  const { currency, file, change } = horizon;
  const { months, lines } = told.lines;
  const at = pointed ?? Math.min(file.months, months);
  const isToday = file.todaysMoney === true;
  const money = (minor: number) => amountIn(minor, currency, notation);
  const title = `Net cost${isToday ? " in today’s money" : ""}, ${currency}`;
  return (
    <figure ref={frame} className={`m-0 min-w-0 px-4 pb-2 ${horizon.isOld ? "stale" : ""}`}>
      <figcaption className="font-semibold text-sm">{title}</figcaption>
      {width === NOT_YET ? (
        <div style={{ height: HEIGHT }} />
      ) : (
        <Drawing
          told={told}
          names={names}
          width={width}
          at={at}
          title={title}
          wholeText={minor => money(minor).replace(/[.,]0+$/, "")}
          onPoint={setPointed}
          onChoose={month => change(now => ({ ...now, months: month }), "months")}
        />
      )}
      <ul className="flex flex-wrap gap-x-5 gap-y-0.5 text-sm" aria-live="polite">
        <li className="text-faint">kept for {at} months</li>
        {lines.map(each => {
          const net = each.net[at - 1] ?? null;
          return net === null ? null : (
            <li key={lineName(each, names)}>
              <Swatch line={wayStyle(each)} /> {lineName(each, names)}{" "}
              <strong className="font-semibold">{money(net)}</strong>
            </li>
          );
        })}
      </ul>
      <details className="mt-1 text-sm" onToggle={event => setTable(event.currentTarget.open)}>
        <summary className="cursor-pointer font-semibold text-primary">The chart as a table</summary>
        {isTable && <ChartTable told={told} names={names} money={money} title={title} />}
      </details>
    </figure>
  );
}

type DrawingProps = {
  told: NonNullable<Horizon["told"]>;
  names: readonly string[];
  width: number;
  at: number;
  title: string;
  wholeText: (minor: number) => string;
  onPoint: (month: number | null) => void;
  onChoose: (month: number) => void;
};

function Drawing({ told, names, width, at, title, wholeText, onPoint, onChoose }: DrawingProps) {
  const isNarrow = width < NARROW;
  const { months, lines } = told.lines;
  const margin = { ...MARGIN, right: isNarrow ? 16 : MARGIN.right };
  const chart: HorizonChart = horizonChart(
    lines.map(({ net }) => net),
    months,
    { width, height: HEIGHT, margin },
  );
  const monthOf = (event: PointerEvent<SVGSVGElement>) =>
    chart.monthAt(event.clientX - event.currentTarget.getBoundingClientRect().left);
  const foot = HEIGHT - margin.bottom;
  return (
    <svg
      role="img"
      aria-label={`${title}, over every length up to ${months} months; the table below says the same. The months are typed above.`}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      height={HEIGHT}
      className="block w-full cursor-pointer touch-pan-y text-faint"
      onPointerMove={event => onPoint(monthOf(event))}
      onPointerLeave={() => onPoint(null)}
      onPointerDown={event => onChoose(monthOf(event))}
    >
      <AmountGrid
        lines={chart.amounts.map(({ minor, y }) => ({ y, text: wholeText(minor) }))}
        left={margin.left}
        right={width - margin.right}
      />
      {chart.months.map(({ count, x }) => (
        <text key={count} x={x} y={foot + 16} textAnchor="middle" className="fill-current text-xs">
          {count}
        </text>
      ))}
      <text
        x={(margin.left + width - margin.right) / 2}
        y={HEIGHT - 5}
        textAnchor="middle"
        className="fill-current text-xs"
      >
        kept for, months
      </text>
      <line
        x1={chart.across(at)}
        x2={chart.across(at)}
        y1={margin.top}
        y2={foot}
        stroke="var(--found-line)"
        strokeDasharray="3 3"
      />
      {chart.lines.map(({ path, label }, index) => {
        const each = lines[index] as (typeof lines)[number];
        const { stroke, dash } = wayStyle(each);
        const here = each.net[at - 1] ?? null;
        const name = lineName(each, names);
        return (
          <g key={name}>
            <path d={path} fill="none" stroke={stroke} strokeWidth={2} strokeDasharray={dash} />
            {here !== null && <circle cx={chart.across(at)} cy={chart.up(here)} r={3.5} fill={stroke} />}
            {!isNarrow && path !== "" && (
              <LineLabel x={label.x + 8} y={label.y} stroke={stroke}>
                {shortName(name)}
              </LineLabel>
            )}
          </g>
        );
      })}
    </svg>
  );
}

type TableProps = {
  told: NonNullable<Horizon["told"]>;
  names: readonly string[];
  money: (minor: number) => string;
  title: string;
};

function ChartTable({ told, names, money, title }: TableProps) {
  const { months, lines } = told.lines;
  const step = months > 24 ? 6 : 1;
  const shown = Array.from({ length: Math.floor(months / step) }, (_, index) => (index + 1) * step);
  if (shown.at(-1) !== months) shown.push(months);
  const columns = lines.map(each => ({
    key: lineName(each, names),
    name: lineName(each, names),
    at: (month: number) => {
      const net = each.net[month - 1] ?? null;
      return net === null ? "–" : money(net);
    },
  }));
  return <MonthTable title={title} head="kept for months" months={shown} columns={columns} />;
}
