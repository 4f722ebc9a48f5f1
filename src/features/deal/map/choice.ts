import type { Deal } from "@/core";
import { FEWEST_STEPS, type MapAxis, type MapFigure, type MapRange, usualRange, valueOn } from "@/core/map";

/** What a map shows: a figure over two others, each over a range of its own or the usual one. */
export type MapChoice = {
  figure: MapFigure;
  across: MapAxis;
  up: MapAxis;
  ranges: Partial<Record<MapAxis, MapRange>>;
  asFigures: boolean;
};

export const FIRST_CHOICE: MapChoice = {
  figure: "payment",
  across: "payments",
  up: "down",
  ranges: {},
  asFigures: false,
};

/** What a deal has to choose from. */
type Offered = { axes: readonly MapAxis[]; figures: readonly MapFigure[] };

/** A choice that a deal has the figures for. */
export function choiceFor({ axes, figures }: Offered, choice: MapChoice): MapChoice {
  const has = (axis: MapAxis) => axes.includes(axis);
  const across = has(choice.across) ? choice.across : (axes.find(axis => axis !== choice.up) ?? "price");
  const up =
    has(choice.up) && choice.up !== across ? choice.up : (axes.find(axis => axis !== across) ?? "down");
  const figure = figures.includes(choice.figure) ? choice.figure : "payment";
  return { ...choice, across, up, figure };
}

/** The ranges of both axes: as typed, or as usual. */
export function rangesOf(
  deal: Deal,
  { across, up, ranges }: MapChoice,
  unit: number,
): { across: MapRange; up: MapRange } {
  return {
    across: ranges[across] ?? usualRange(deal, across, unit, FEWEST_STEPS.across),
    up: ranges[up] ?? usualRange(deal, up, unit, FEWEST_STEPS.up),
  };
}

/** Whether the deal still lies on a range: while it does, a map does not move under it. */
export function isOn(deal: Deal, axis: MapAxis, { from, to }: MapRange): boolean {
  const value = valueOn(deal, axis);
  return value === null || (value >= from && value <= to);
}
