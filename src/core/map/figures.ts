import { type Deal, KINDS, type KindName, kindOf, type MapFigure } from "../kinds";
import { nameInSentence, type QuotedFigure } from "../kinds/kind";

const entryOf = (figure: MapFigure, kind: KindName): QuotedFigure<unknown, unknown> | undefined =>
  (KINDS[kind].figures as Record<string, QuotedFigure<unknown, unknown>>)[figure];

/** What is asked for most comes first. */
const FIRST: readonly MapFigure[] = ["payment", "financeCharge", "totalCost", "apr"];

/** The figures that a deal's map can show. */
export function figuresOn(deal: Deal): MapFigure[] {
  const { figures } = kindOf(deal);
  const all = new Set([...FIRST, ...(Object.keys(figures) as MapFigure[])]);
  return [...all].filter(figure => figures[figure]?.mapped);
}

/**
 * What a figure of the map is called for a kind of deal.
 *
 * @example figureName("financeCharge", "lease") // "rent charge"
 */
export const figureName = (figure: MapFigure, kind: KindName): string =>
  nameInSentence(entryOf(figure, kind)?.name ?? figure);

/** How many decimals a percent of the map is shown with; undefined of an amount. */
export function percentPlaces(figure: MapFigure, kind: KindName): number | undefined {
  const { unit, places = 2 } = entryOf(figure, kind) ?? {};
  return unit === "percent" ? places : undefined;
}

/**
 * One figure of a deal, exactly as its whole answer has it.
 *
 * @param deal a deal that asks for its payment
 * @returns minor units, percent a year of an APR; null where the deal has no answer, or no such figure
 * @example figureOf(deal, "payment") // 68397
 */
export const figureOf = (deal: Deal, figure: MapFigure): number | null => kindOf(deal).figureAt(deal, figure);
