import { ticks } from "d3-array";
import type { MapAxis } from "@/core/map";
import type { Frame } from "./frame";

/** The lines of a map come in a plane of so many by so many. */
export const FULL = 1000;

/** Where a figure is written along a line of the plane, and which way the line goes there. */
type Along = { x: number; y: number; dx: number; dy: number };

/** A side of a map: which figure it varies, and its values in order, evenly apart. */
type Side = { axis: MapAxis; values: readonly number[] };

/** Where things stand on a map: everything of it but its words, lines and colors. */
export type PaymentMapChart = {
  /** The ground: its corner, and its room. */
  ground: { x: number; y: number; width: number; height: number };
  /** How much of the plane of its lines is a dot, across and up. */
  scale: { x: number; y: number };
  x: (value: number) => number;
  y: (value: number) => number;
  /** The place that is nearest to a dot, by its column and its row, from 0. */
  placeAt: (x: number, y: number) => { column: number; row: number };
  /** Where a figure of a line is written, and its angle in degrees: never upside down. */
  label: (along: Along) => { x: number; y: number; angle: number };
  /** Round values at the edges. */
  across: { value: number; x: number }[];
  up: { value: number; y: number }[];
};

const MOST_ACROSS = 7;
const MOST_UP = 5;

/**
 * @param across and `up`: the sides of the map
 * @param frame dots
 * @example paymentMapChart({ across: { axis: "down", values: [0, 100] }, up, frame }).x(50) // the middle of the ground
 */
export function paymentMapChart(across: Side, up: Side, { width, height, margin }: Frame): PaymentMapChart {
  const room = { width: width - margin.left - margin.right, height: height - margin.top - margin.bottom };
  const ground = { x: margin.left, y: margin.top, ...room };
  const [left, right] = endsOf(across.values);
  const [low, high] = endsOf(up.values);
  const x = (value: number) => ground.x + ((value - left) / (right - left)) * room.width;
  const y = (value: number) => ground.y + room.height - ((value - low) / (high - low)) * room.height;
  return {
    ground,
    scale: { x: room.width / FULL, y: room.height / FULL },
    x,
    y,
    placeAt: (atX, atY) => ({
      column: nearestTo(across.values, left + ((atX - ground.x) / room.width) * (right - left)),
      row: nearestTo(up.values, low + ((ground.y + room.height - atY) / room.height) * (high - low)),
    }),
    label: along => ({
      x: ground.x + (along.x / FULL) * room.width,
      y: ground.y + (along.y / FULL) * room.height,
      angle: upright((Math.atan2(along.dy * room.height, along.dx * room.width) * 180) / Math.PI),
    }),
    across: roundValues(across, MOST_ACROSS).map(value => ({ value, x: x(value) })),
    up: roundValues(up, MOST_UP).map(value => ({ value, y: y(value) })),
  };
}

/** The first and the last value of a side. */
const endsOf = (values: readonly number[]): [number, number] => [values[0] ?? 0, values.at(-1) ?? 1];

function upright(angle: number): number {
  if (angle > 90) return angle - 180;
  return angle < -90 ? angle + 180 : angle;
}

/** Which of some values, evenly apart, is nearest to one: its place, from 0. */
export function nearestTo(values: readonly number[], value: number | null): number {
  if (value === null || values.length < 2) return 0;
  const [first = 0, second = 1] = values;
  return Math.max(0, Math.min(values.length - 1, Math.round((value - first) / (second - first))));
}

const TERM_STEPS = [1, 2, 3, 6, 12, 24, 36, 60, 120, 240];

/** About so many round values of a side; of a term, round numbers of payments. */
function roundValues({ axis, values }: Side, most: number): number[] {
  const [low, high] = [values[0] ?? 0, values.at(-1) ?? 0];
  if (axis !== "payments") return ticks(low, high, most);
  const step = TERM_STEPS.find(each => (high - low) / each <= most) ?? high - low;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, index) => first + index * step);
}
