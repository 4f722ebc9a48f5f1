import { ticks } from "d3-array";
import { scaleLinear } from "d3-scale";
import { memo } from "react";
import type { MapAxis } from "@/core/map";
import type { MapLabel } from "@/workers/map-lines";
import type { MapWriter } from "./map-words";
import { endsOf, FULL, HEIGHT, MARGIN, ROOM_UP } from "./plane";
import type { MadeMap } from "./use-map";

type Room = { x: number; y: number };

type GroundProps = { made: MadeMap; write: MapWriter; width: number; id: string };

/** All that stays while the map is read: tint, lines, labels, the side that does not fit, what has no answer, the edges. */
export const MapGround = memo(function MapGround({
  made: { question, answer },
  write,
  width,
  id,
}: GroundProps) {
  const { figure, across, up } = question;
  const { lines, between, overBudget, noAnswer } = answer;
  const room: Room = { x: width, y: ROOM_UP };
  const plane = `translate(${MARGIN.left} ${MARGIN.top}) scale(${room.x / FULL} ${room.y / FULL})`;
  const whole = { x: MARGIN.left, y: MARGIN.top, width: room.x, height: room.y };
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
        <Label key={line.level} line={line} room={room} text={write.alongLine(figure, line.level)} />
      ))}
      {overBudget && (
        <Label
          line={overBudget}
          room={room}
          text={`budget ${write.alongLine(figure, overBudget.level)}`}
          isBudget
        />
      )}
      <Edges
        x={scaleLinear(endsOf(across.values), [MARGIN.left, MARGIN.left + room.x])}
        y={scaleLinear(endsOf(up.values), [MARGIN.top + room.y, MARGIN.top])}
        xs={across.values}
        ys={up.values}
        write={write}
        across={across.axis}
        up={up.axis}
      />
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

type LabelProps = { line: MapLabel; room: Room; text: string; isBudget?: boolean };

/** The figure of a line, written along it. */
function Label({ line: { label }, room, text, isBudget = false }: LabelProps) {
  if (!label) return null;
  const x = MARGIN.left + (label.x / FULL) * room.x;
  const y = MARGIN.top + (label.y / FULL) * room.y;
  const along = (Math.atan2(label.dy * room.y, label.dx * room.x) * 180) / Math.PI;
  // Never upside down.
  const angle = along > 90 ? along - 180 : along < -90 ? along + 180 : along;
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

type EdgesProps = {
  x: (value: number) => number;
  y: (value: number) => number;
  xs: readonly number[];
  ys: readonly number[];
  write: MapWriter;
  across: MapAxis;
  up: MapAxis;
};

function Edges({ x, y, xs, ys, write, across, up }: EdgesProps) {
  return (
    <>
      {ticksOn(across, xs, 7).map(value => (
        <text
          key={value}
          x={x(value)}
          y={HEIGHT - MARGIN.bottom + 16}
          textAnchor="middle"
          className="fill-current text-xs"
        >
          {write.atEdge(across, value)}
        </text>
      ))}
      <text
        x={(x(xs[0] ?? 0) + x(xs.at(-1) ?? 0)) / 2}
        y={HEIGHT - 5}
        textAnchor="middle"
        className="fill-current font-semibold text-xs"
      >
        {write.axis(across)}
      </text>
      {ticksOn(up, ys, 5).map(value => (
        <text
          key={value}
          x={MARGIN.left - 8}
          y={y(value)}
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

const TERM_STEPS = [1, 2, 3, 6, 12, 24, 36, 60, 120, 240];

/** About so many round values of an axis. */
function ticksOn(axis: MapAxis, values: readonly number[], most: number): number[] {
  const [low, high] = [values[0] ?? 0, values.at(-1) ?? 0];
  if (axis !== "payments") return ticks(low, high, most);
  const step = TERM_STEPS.find(each => (high - low) / each <= most) ?? high - low;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, index) => first + index * step);
}
