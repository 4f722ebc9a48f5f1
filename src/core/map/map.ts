import type { Deal, MapFigure } from "../kinds";
import type { MapAxis } from "../kinds/kind";
import { atValue } from "./axes";
import { figureOf } from "./figures";

/** One side of a map: the figure that is varied, and its places in order, in its units. */
export type MapSide = { axis: MapAxis; values: readonly number[] };

/** What a map is made of. */
export type MapAsked = { deal: Deal; across: MapSide; up: MapSide; figure: MapFigure };

/**
 * The figure at each place of a map, each the exact answer of the deal there: nothing is interpolated.
 *
 * @returns a walk over the places, row by row from the first; each step gives one figure, null where there is no answer
 * @example [...walkMap({ deal, across: { axis: "payments", values: [72] }, up: { axis: "down", values: [300000] }, figure: "payment" })] // [68397]
 */
export function* walkMap(asked: MapAsked): Generator<number | null, void, void> {
  const { deal, across, up, figure } = asked;
  for (const height of up.values) {
    const row = atValue(deal, up.axis, height);
    for (const value of across.values) yield figureOf(atValue(row, across.axis, value), figure);
  }
}
