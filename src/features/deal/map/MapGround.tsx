import { memo } from "react";
import type { MapAxis } from "@/core/map";
import type { PaymentMapChart } from "@/exchange/charts/payment-map";
import type { MapLabel } from "@/workers/map-lines";
import type { MapWriter } from "./map-words";
import { HEIGHT, MARGIN } from "./plane";
import type { MadeMap } from "./use-map";

type GroundProps = { made: MadeMap; write: MapWriter; chart: PaymentMapChart; id: string };

/** All that stays while the map is read: tint, lines, labels, the side that does not fit, what has no answer, the edges. */
export const MapGround = memo(function MapGround({
  made: { question, answer },
  write,
  chart,
  id,
}: GroundProps) {
  const { figure, across, up } = question;
  const { lines, between, overBudget, noAnswer } = answer;
  const { ground: whole, scale } = chart;
  const plane = `translate(${whole.x} ${whole.y}) scale(${scale.x} ${scale.y})`;
  const tint = lines.length > 0 ? 0.5 / lines.length : 0;
  const drawn = {
    transform: plane,
    vectorEffect: "non-scaling-stroke",
    stroke: "var(--color-base-content)",
  } as const;
  return (
    <>
      <g mask={`url(#${id}-inside)`}>
        <rect {...whole} fill="color-mix(in oklab, var(--color-primary) 14%, var(--color-base-100))" />
        {lines.map(({ level, path }) => (
          <path
            key={level}
            d={path}
            {...drawn}
            strokeOpacity={0.55}
            fill="var(--found-line)"
            fillOpacity={tint}
          />
        ))}
        <path d={between} {...drawn} fill="none" strokeWidth={0.6} strokeOpacity={0.25} />
        {overBudget && (
          <>
            <Patterned path={overBudget.path} plane={plane} whole={whole} id={`${id}-over`} />
            <path d={overBudget.path} {...drawn} fill="none" stroke="var(--found-line)" strokeWidth={3} />
          </>
        )}
        {noAnswer && (
          <>
            <path d={noAnswer} transform={plane} fill="var(--color-base-200)" />
            <Patterned path={noAnswer} plane={plane} whole={whole} id={`${id}-none`} />
          </>
        )}
      </g>
      <rect {...whole} fill="none" stroke="var(--field-line)" />
      {lines.map(line => (
        <Label key={line.level} line={line} chart={chart} text={write.alongLine(figure, line.level)} />
      ))}
      {overBudget && (
        <Label
          line={overBudget}
          chart={chart}
          text={`budget ${write.alongLine(figure, overBudget.level)}`}
          isBudget
        />
      )}
      <Edges chart={chart} write={write} across={across.axis} up={up.axis} />
    </>
  );
});

type PatternedProps = {
  path: string;
  plane: string;
  whole: { x: number; y: number; width: number; height: number };
  /** The pattern's. */
  id: string;
};

/** A pattern over an outline; it is drawn in its own units, so that its lines keep their angle. */
function Patterned({ path, plane, whole, id }: PatternedProps) {
  return (
    <>
      <clipPath id={`${id}-clip`}>
        <path d={path} transform={plane} />
      </clipPath>
      <rect {...whole} fill={`url(#${id})`} clipPath={`url(#${id}-clip)`} />
    </>
  );
}

type LabelProps = { line: MapLabel; chart: PaymentMapChart; text: string; isBudget?: boolean };

/** The figure of a line, written along it. */
function Label({ line: { label }, chart, text, isBudget = false }: LabelProps) {
  if (!label) return null;
  const { x, y, angle } = chart.label(label);
  return (
    <text
      x={x}
      y={y}
      transform={`rotate(${angle.toFixed(1)} ${x} ${y})`}
      textAnchor="middle"
      dominantBaseline="middle"
      fill={isBudget ? "var(--color-accent-content)" : "var(--color-base-content)"}
      stroke={isBudget ? "var(--color-accent)" : "var(--color-base-100)"}
      strokeWidth={isBudget ? 7 : 4}
      strokeLinejoin="round"
      paintOrder="stroke"
      className={`text-xs ${isBudget ? "font-bold" : "font-semibold"}`}
    >
      {text}
    </text>
  );
}

type EdgesProps = { chart: PaymentMapChart; write: MapWriter; across: MapAxis; up: MapAxis };

function Edges({ chart, write, across, up }: EdgesProps) {
  const { ground } = chart;
  return (
    <>
      {chart.across.map(({ value, x }) => (
        <text
          key={value}
          x={x}
          y={HEIGHT - MARGIN.bottom + 16}
          textAnchor="middle"
          className="fill-current text-xs"
        >
          {write.atEdge(across, value)}
        </text>
      ))}
      <text
        x={ground.x + ground.width / 2}
        y={HEIGHT - 5}
        textAnchor="middle"
        className="fill-current font-semibold text-xs"
      >
        {write.axis(across)}
      </text>
      {chart.up.map(({ value, y }) => (
        <text
          key={value}
          x={MARGIN.left - 8}
          y={y}
          textAnchor="end"
          dominantBaseline="middle"
          className="fill-current text-xs"
        >
          {write.atEdge(up, value)}
        </text>
      ))}
      <text
        transform={`translate(11 ${(MARGIN.top + HEIGHT - MARGIN.bottom) / 2}) rotate(-90)`}
        textAnchor="middle"
        className="fill-current font-semibold text-xs"
      >
        {write.axis(up)}
      </text>
    </>
  );
}
