import { ticks } from "d3-array";
import { scaleLinear } from "d3-scale";
import { type KeyboardEvent, memo, type PointerEvent, useId, useRef, useState } from "react";
import type { MapAxis, MapFigure } from "@/core/map";
import { useWidth } from "@/features/figures/use-width";
import type { MapLabel } from "@/workers/map-lines";
import type { MapWriter } from "./map-words";
import type { MadeMap } from "./use-map";

type Props = {
  made: MadeMap;
  write: MapWriter;
  /** What the figure is called. */
  name: string;
  isStale: boolean;
  /** Where the deal stands, and its own figure; null where it says nothing of an axis, or has none. */
  pinX: number | null;
  pinY: number | null;
  pinFigure: number | null;
  /** Moves the deal to a place, or makes an option there. */
  onTake: (x: number, y: number, isOption: boolean) => void;
};

/** A place of the map by its column and its row, from 0. */
type Place = { column: number; row: number };

const HEIGHT = 330;
const MARGIN = { top: 8, right: 14, bottom: 40, left: 70 };
const FULL = 1000;
const ROOM_UP = HEIGHT - MARGIN.top - MARGIN.bottom;

/** The map as contour lines over a tint, with the deal as a pin, and a cursor that reads any place. */
export const MapPlane = memo(function MapPlane(props: Props) {
  const { made, write, name, onTake } = props;
  const pin = { x: props.pinX, y: props.pinY, figure: props.pinFigure };
  const { question, answer } = made;
  const { figure, budget } = question;
  const [across, up] = [question.across.axis, question.up.axis];
  const frame = useRef<HTMLElement>(null);
  const id = useId();
  const width = useWidth(frame, 760);
  const [cursor, setCursor] = useState<Place | null>(null);
  const xs = question.across.values;
  const ys = question.up.values;
  const room = { x: width - MARGIN.left - MARGIN.right, y: ROOM_UP };
  const x = scaleLinear(endsOf(xs), [MARGIN.left, MARGIN.left + room.x]);
  const y = scaleLinear(endsOf(ys), [MARGIN.top + room.y, MARGIN.top]);
  const { place, isAtHome, atX, atY, value } = whereRead(made, cursor, pin);
  const reading = readingOf(value, budget, figure, write);
  const placeOf = (event: PointerEvent): Place => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = width / box.width;
    return {
      column: nearestTo(xs, x.invert((event.clientX - box.left) * scale)),
      row: nearestTo(ys, y.invert((event.clientY - box.top) * scale)),
    };
  };
  const take = ({ column, row }: Place, isOption: boolean) => {
    if (Number.isNaN(answer.values[row * xs.length + column])) return;
    onTake(xs[column] ?? 0, ys[row] ?? 0, isOption);
  };
  const press = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    if (by) {
      const [dx, dy] = by.map(each => each * (event.shiftKey ? 5 : 1)) as [number, number];
      setCursor({
        column: Math.max(0, Math.min(xs.length - 1, place.column + dx)),
        row: Math.max(0, Math.min(ys.length - 1, place.row + dy)),
      });
    } else if (event.key === "Enter") take(place, event.shiftKey);
    else if (event.key === "Escape") setCursor(null);
    else return;
    event.preventDefault();
  };
  return (
    <figure ref={frame} className={`m-0 ${props.isStale ? "stale" : ""}`}>
      <div
        role="application"
        tabIndex={0}
        aria-label={`Map of the ${name}. Arrow keys read a place, Enter moves the deal there, Shift and Enter make an option there.`}
        aria-describedby={`${id}-reading`}
        onKeyDown={press}
      >
        <svg
          aria-hidden="true"
          viewBox={`0 0 ${width} ${HEIGHT}`}
          height={HEIGHT}
          className="block w-full cursor-crosshair text-faint"
          onPointerMove={event => setCursor(placeOf(event))}
          onPointerLeave={() => setCursor(null)}
          onClick={event => take(placeOf(event as unknown as PointerEvent), event.shiftKey)}
        >
          <defs>
            <pattern
              id={`${id}-over`}
              width="7"
              height="7"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1="0" y1="0" x2="0" y2="7" stroke="var(--found-line)" strokeWidth="1.4" opacity="0.45" />
            </pattern>
            <pattern id={`${id}-none`} width="6" height="6" patternUnits="userSpaceOnUse">
              <circle cx="3" cy="3" r="1" fill="var(--faint)" opacity="0.6" />
            </pattern>
            <mask id={`${id}-inside`}>
              <rect x={MARGIN.left} y={MARGIN.top} width={room.x} height={room.y} fill="white" />
            </mask>
          </defs>
          <Ground made={made} write={write} width={room.x} id={id} />
          <line
            x1={x(atX)}
            x2={x(atX)}
            y1={MARGIN.top}
            y2={MARGIN.top + room.y}
            stroke="currentColor"
            strokeDasharray="2 3"
          />
          <line
            x1={MARGIN.left}
            x2={MARGIN.left + room.x}
            y1={y(atY)}
            y2={y(atY)}
            stroke="currentColor"
            strokeDasharray="2 3"
          />
          <circle
            cx={x(atX)}
            cy={y(atY)}
            r={4}
            fill="none"
            stroke="var(--color-base-content)"
            strokeWidth={1.5}
          />
          {pin.x !== null && pin.y !== null && isWithin(pin.x, xs) && isWithin(pin.y, ys) && (
            <Pin x={x(pin.x)} y={y(pin.y)} />
          )}
        </svg>
      </div>
      <figcaption id={`${id}-reading`} aria-live="polite" className="flex flex-wrap items-baseline gap-x-3">
        <span className="text-faint text-sm">
          {isAtHome ? "this deal: " : ""}
          {write.place(across, atX)}, {write.place(up, atY)}
        </span>
        <strong className="font-semibold font-serif text-lg">{reading.figure}</strong>
        {reading.beside && (
          <span className={reading.isOver ? "text-warning" : "text-success"}>{reading.beside}</span>
        )}
        <span className="ml-auto text-faint text-sm">
          a click moves the deal there, Shift and a click make an option there
        </span>
      </figcaption>
    </figure>
  );
});

/** Where the map is read. Until a place is pointed at that is the deal itself, which need not stand on one. */
function whereRead(
  { question, answer }: MadeMap,
  cursor: Place | null,
  pin: { x: number | null; y: number | null; figure: number | null },
) {
  const xs = question.across.values;
  const ys = question.up.values;
  const read = cursor ?? { column: nearestTo(xs, pin.x), row: nearestTo(ys, pin.y) };
  const place = { column: Math.min(read.column, xs.length - 1), row: Math.min(read.row, ys.length - 1) };
  if (cursor === null && pin.x !== null && pin.y !== null) {
    return { place, isAtHome: true, atX: pin.x, atY: pin.y, value: pin.figure ?? Number.NaN };
  }
  const value = answer.values[place.row * xs.length + place.column] ?? Number.NaN;
  return { place, isAtHome: false, atX: xs[place.column] ?? 0, atY: ys[place.row] ?? 0, value };
}

const STEPS: Record<string, [dx: number, dy: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

type Room = { x: number; y: number };

type GroundProps = { made: MadeMap; write: MapWriter; width: number; id: string };

/** All that stays while the map is read: tint, lines, labels, the side that does not fit, what has no answer, the edges. */
const Ground = memo(function Ground({ made: { question, answer }, write, width, id }: GroundProps) {
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

const endsOf = (values: readonly number[]): [number, number] => [values[0] ?? 0, values.at(-1) ?? 1];

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

/** The deal itself. */
function Pin({ x, y }: { x: number; y: number }) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <path
        d="M0 0C-3 -7 -8 -10 -8 -16A8 8 0 0 1 8 -16C8 -10 3 -7 0 0Z"
        fill="var(--color-primary)"
        stroke="var(--color-base-100)"
        strokeWidth={1.5}
      />
      <circle cy={-16} r={2.6} fill="var(--color-primary-content)" />
    </g>
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

const isWithin = (value: number, values: readonly number[]) =>
  value >= (values[0] ?? 0) && value <= (values.at(-1) ?? 0);

function nearestTo(values: readonly number[], value: number | null): number {
  if (value === null || values.length < 2) return 0;
  const [first = 0, second = 1] = values;
  return Math.max(0, Math.min(values.length - 1, Math.round((value - first) / (second - first))));
}

function readingOf(value: number, budget: number | undefined, figure: MapFigure, write: MapWriter) {
  if (Number.isNaN(value)) return { figure: "no answer", beside: "", isOver: false };
  const text = write.shown(figure, value);
  if (budget === undefined) return { figure: text, beside: "", isOver: false };
  const isOver = value > budget;
  const apart = write.shown(figure, Math.abs(value - budget));
  return {
    figure: text,
    beside: isOver ? `${apart} over budget` : value === budget ? "fits exactly" : `fits, ${apart} to spare`,
    isOver,
  };
}
