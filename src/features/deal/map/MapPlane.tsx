import { type KeyboardEvent, memo, type PointerEvent, useId, useMemo, useRef, useState } from "react";
import type { MapFigure } from "@/core/map";
import { nearestTo, paymentMapChart } from "@/exchange/charts/payment-map";
import { useWidth } from "@/features/figures/use-width";
import { MapGround } from "./MapGround";
import type { MapWriter } from "./map-words";
import { HEIGHT, MARGIN } from "./plane";
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
  const chart = useMemo(
    () => paymentMapChart(question.across, question.up, { width, height: HEIGHT, margin: MARGIN }),
    [question, width],
  );
  const { ground, x, y } = chart;
  const { place, isAtHome, atX, atY, value } = whereRead(made, cursor, pin);
  const reading = readingOf(value, budget, figure, write);
  const placeOf = (event: PointerEvent): Place => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = width / box.width;
    return chart.placeAt((event.clientX - box.left) * scale, (event.clientY - box.top) * scale);
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
              <rect {...ground} fill="white" />
            </mask>
          </defs>
          <MapGround made={made} write={write} chart={chart} id={id} />
          <line
            x1={x(atX)}
            x2={x(atX)}
            y1={ground.y}
            y2={ground.y + ground.height}
            stroke="currentColor"
            strokeDasharray="2 3"
          />
          <line
            x1={ground.x}
            x2={ground.x + ground.width}
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

const isWithin = (value: number, values: readonly number[]) =>
  value >= (values[0] ?? 0) && value <= (values.at(-1) ?? 0);

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
