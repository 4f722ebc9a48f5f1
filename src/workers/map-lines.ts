import { extent, ticks } from "d3-array";
import { contours } from "d3-contour";
import { FULL } from "@/exchange/charts/payment-map";

/** A level with where it is labelled; coordinates go from 0 to 1000, to the right and down. */
export type MapLabel = {
  level: number;
  /** Where it is labelled, and the line's direction there; null where it is too short for a label. */
  label: { x: number; y: number; dx: number; dy: number } | null;
};

/** A contour line with the outline of all places at or above it, as an SVG path. */
type MapLine = MapLabel & { path: string };

/** What is drawn of a map. */
export type MapLines = {
  /** The main lines, from the lowest level up, and all lines half way between them as one path. */
  lines: MapLine[];
  between: string;
  /** The places over the budget, and the line where they begin; null where there is no budget. */
  overBudget: MapLine | null;
  /** The outline of the places that have no answer; null where each has one. */
  noAnswer: string | null;
};

const ABOUT_MAIN_LINES = 10;

type How = { unit: number; budget?: number | undefined };

/**
 * The contour lines of a map: between places a line is drawn straight, the places themselves are exact.
 *
 * @param values row by row from the lowest; NaN where there is no answer
 */
export function linesOf(
  values: Float64Array,
  columns: number,
  rows: number,
  { unit, budget }: How,
): MapLines {
  const grid = contours().size([columns, rows]);
  const heights = [...values];
  const [low, high] = extent(heights.filter(value => !Number.isNaN(value)));
  const isNone = heights.map(value => (Number.isNaN(value) ? 1 : 0));
  const noAnswer = isNone.includes(1) ? pathOf(grid.contour(isNone, 0.5), columns, rows) : null;
  if (low === undefined || high === undefined || low === high) {
    return { lines: [], between: "", overBudget: null, noAnswer };
  }
  const steps = ticks(low / unit, high / unit, ABOUT_MAIN_LINES);
  const step = (steps[1] ?? 0) - (steps[0] ?? 0);
  const slope = slopeOf(values, columns, rows);
  const lineAt = (level: number): MapLine => {
    const shape = grid.contour(heights, level);
    return { level, path: pathOf(shape, columns, rows), label: labelOf(shape, columns, rows, slope) };
  };
  return {
    lines: steps.map(tick => lineAt(tick * unit)),
    between: steps
      .slice(0, -1)
      .map(tick => pathOf(grid.contour(heights, (tick + step / 2) * unit), columns, rows))
      .join(""),
    // What costs exactly the budget fits.
    overBudget: budget === undefined ? null : { ...lineAt(budget + 0.5), level: budget },
    noAnswer,
  };
}

type Shape = ReturnType<ReturnType<typeof contours>["contour"]>;
type Point = [x: number, y: number];

/** A point of the grid, whose places lie in the middle of its cells, from 0 to 1000 between the outer places. */
const scaled = ([x = 0, y = 0]: readonly number[], columns: number, rows: number): Point => [
  ((x - 0.5) / (columns - 1)) * FULL,
  FULL - ((y - 0.5) / (rows - 1)) * FULL,
];

function pathOf({ coordinates }: Shape, columns: number, rows: number): string {
  let path = "";
  for (const polygon of coordinates) {
    for (const ring of polygon) {
      const points = withoutStraights(ring.map(point => scaled(point, columns, rows)));
      path += `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join("L")}Z`;
    }
  }
  return path;
}

/** A tenth of a pixel on a wide screen. */
const STRAIGHT = 0.15;

/** Points that a straight line passes anyway are not drawn. */
function withoutStraights(points: readonly Point[]): Point[] {
  const kept: Point[] = [];
  for (const [index, point] of points.entries()) {
    const [last, next] = [kept.at(-1), points[index + 1]];
    if (!last || !next || apartFrom(point, last, next) > STRAIGHT) kept.push(point);
  }
  return kept;
}

/** How far a point is from the line through two others. */
function apartFrom([x, y]: Point, [fromX, fromY]: Point, [toX, toY]: Point): number {
  const [alongX, alongY] = [toX - fromX, toY - fromY];
  const length = Math.hypot(alongX, alongY);
  if (length === 0) return Math.hypot(x - fromX, y - fromY);
  return Math.abs((x - fromX) * alongY - (y - fromY) * alongX) / length;
}

/** From the corner where the figure is highest to the one where it is lowest: labels stand along that line. */
type Slope = { from: Point; to: Point };

function slopeOf(values: Float64Array, columns: number, rows: number): Slope {
  const corners: { at: Point; value: number }[] = [];
  for (const [row, y] of [
    [0, FULL],
    [rows - 1, 0],
  ] as const) {
    for (const [column, x] of [
      [0, 0],
      [columns - 1, FULL],
    ] as const) {
      const value = values[row * columns + column] ?? Number.NaN;
      if (!Number.isNaN(value)) corners.push({ at: [x, y], value });
    }
  }
  corners.sort((a, b) => b.value - a.value);
  const from: Point = corners[0]?.at ?? [0, FULL];
  const to: Point = corners.at(-1)?.at ?? [FULL, 0];
  // Along an edge the labels stand in the middle of the map.
  if (from[0] === to[0]) return { from: [FULL / 2, from[1]], to: [FULL / 2, to[1]] };
  if (from[1] === to[1]) return { from: [from[0], FULL / 2], to: [to[0], FULL / 2] };
  return { from, to };
}

const MARGIN = 35;

/** The point of a line that is nearest to where labels stand. */
function labelOf(shape: Shape, columns: number, rows: number, { from, to }: Slope): MapLine["label"] {
  let best: MapLine["label"] = null;
  let nearest = Number.POSITIVE_INFINITY;
  for (const polygon of shape.coordinates) {
    for (const ring of polygon) {
      const points = ring.map(point => scaled(point, columns, rows));
      for (const [index, [x, y]] of points.entries()) {
        if (x < MARGIN || y < MARGIN || x > FULL - MARGIN || y > FULL - MARGIN) continue;
        const apart = apartFrom([x, y], from, to);
        if (apart >= nearest) continue;
        const next = points[index + 1] ?? points[1] ?? [x + 1, y];
        nearest = apart;
        best = { x, y, dx: next[0] - x, dy: next[1] - y };
      }
    }
  }
  return best;
}
