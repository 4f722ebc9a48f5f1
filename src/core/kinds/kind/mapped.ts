/** The figures that a map can show. */
export const MAP_FIGURES = ["payment", "financeCharge", "totalCost", "apr", "dueAtSigning"] as const;

export type MapFigure = (typeof MAP_FIGURES)[number];

/** The figures of a kind that a map can show, exactly as its whole answer has them. */
export type Mapped<Deal> = {
  /** By what they are called. */
  figures: { readonly [Figure in MapFigure]?: string };
  /** Of a deal that asks for its payment: minor units, percent a year of an APR; null where it has no answer. */
  figureOf(deal: Deal, figure: MapFigure): number | null;
};
