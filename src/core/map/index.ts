export type { MapFigure } from "../kinds";
export { MAP_AXES, type MapAxis, RATE_UNITS, rateText } from "../kinds/kind";
export { atValue, axesOf, valueOn } from "./axes";
export { figureName, figureOf, figuresOn, percentPlaces } from "./figures";
export { type MapAsked, type MapSide, walkMap } from "./map";
export { FEWEST_STEPS, type MapRange, usualRange, valuesOf } from "./ranges";
