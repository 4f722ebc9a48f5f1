import { useRef, useState } from "react";
import { flowsTimeline } from "@/exchange/charts/flows-timeline";
import { amountIn, dateIn } from "@/exchange/notation";
import { useWidth } from "@/features/figures/use-width";
import type { Flow } from "./flows";
import { usePlace } from "./place";

const HEIGHT = 170;
const MARGIN = { top: 24, right: 16, bottom: 22, left: 16 };
const FIRST_WIDTH = 520;

/** Money on a line of time: what is received stands above it, what is paid hangs below. */
export function FlowsTimeline({ flows }: { flows: readonly Flow[] }) {
  const { currency, notation } = usePlace();
  const frame = useRef<HTMLElement>(null);
  const width = useWidth(frame, FIRST_WIDTH);
  const [pointed, setPointed] = useState<number | null>(null);
  const money = ({ minor }: Flow) =>
    `${minor > 0 ? "received" : "paid"} ${amountIn(Math.abs(minor), currency, notation)}`;
  const { first, last, stems, years, middle, nearest } = flowsTimeline(flows, {
    width,
    height: HEIGHT,
    margin: MARGIN,
  });
  const shown = pointed === null ? undefined : flows[pointed];
  const title = `${flows.length} flows from ${dateIn(first, notation)} to ${dateIn(last, notation)}, ${currency}; heights by the root of the amounts`;
  return (
    <figure ref={frame} className="m-0 mt-2">
      <svg
        role="img"
        aria-label={`${title}. Each is in the table below.`}
        viewBox={`0 0 ${width} ${HEIGHT}`}
        className="block w-full text-faint"
        height={HEIGHT}
        onPointerMove={({ clientX }) =>
          setPointed(nearest(clientX - (frame.current?.getBoundingClientRect().left ?? 0)))
        }
        onPointerLeave={() => setPointed(null)}
      >
        <text x={MARGIN.left} y={14} className="fill-current text-xs">
          {shown ? `${dateIn(shown.date, notation)}: ${money(shown)}` : title}
        </text>
        {years.map(({ year, x }) => (
          <g key={year} transform={`translate(${x},0)`}>
            <line y1={MARGIN.top} y2={HEIGHT - MARGIN.bottom} stroke="var(--color-base-300)" />
            <text y={HEIGHT - 6} textAnchor="middle" className="fill-current text-xs">
              {year}
            </text>
          </g>
        ))}
        <line x1={MARGIN.left} x2={width - MARGIN.right} y1={middle} y2={middle} stroke="currentColor" />
        {flows.map((flow, index) => (
          <line
            key={flow.place}
            x1={stems[index]?.x}
            x2={stems[index]?.x}
            y1={middle}
            y2={stems[index]?.end}
            stroke={flow.minor > 0 ? "var(--color-primary)" : "var(--color-accent-content)"}
            strokeWidth={flow.place === pointed ? 4 : 2}
            strokeDasharray={flow.minor > 0 ? undefined : "3 1"}
          />
        ))}
      </svg>
      <details className="text-sm">
        <summary className="cursor-pointer text-primary">As a table</summary>
        <div className="max-h-48 overflow-auto">
          <table className="w-full text-right">
            <thead>
              <tr>
                <th className="text-left font-normal text-faint">Date</th>
                <th className="font-normal text-faint">Received</th>
                <th className="font-normal text-faint">Paid</th>
              </tr>
            </thead>
            <tbody>
              {flows.map(flow => (
                <tr key={flow.place}>
                  <td className="text-left">{dateIn(flow.date, notation)}</td>
                  <td>{flow.minor > 0 && amountIn(flow.minor, currency, notation)}</td>
                  <td>{flow.minor < 0 && amountIn(-flow.minor, currency, notation)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </figure>
  );
}
