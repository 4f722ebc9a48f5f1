import { type Deal, KINDS, type KindName, kindOf } from "../kinds";
import { MAP_FIGURES, type MapFigure } from "../kinds/kind";

/** The figures that a deal's map can show. */
export const figuresOn = (deal: Deal): MapFigure[] =>
  MAP_FIGURES.filter(figure => figure in kindOf(deal).mapped.figures);

/**
 * What a figure of the map is called for a kind of deal.
 *
 * @example figureName("financeCharge", "lease") // "rent charge"
 */
export const figureName = (figure: MapFigure, kind: KindName): string =>
  KINDS[kind].mapped.figures[figure] ?? figure;

/**
 * One figure of a deal, exactly as its whole answer has it.
 *
 * @param deal a deal that asks for its payment
 * @returns minor units, percent a year of an APR; null where the deal has no answer, or no such figure
 * @example figureOf(deal, "payment") // 68397
 */
export const figureOf = (deal: Deal, figure: MapFigure): number | null =>
  kindOf(deal).mapped.figureOf(deal, figure);
