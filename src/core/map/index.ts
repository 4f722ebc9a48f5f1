export {
  atValue,
  axesOf,
  factorText,
  isLease,
  MAP_AXES,
  type MapAxis,
  type Mapped,
  RATE_UNITS,
  rateText,
  valueOn,
} from "./axes";
export { figureOf, figuresOn, MAP_FIGURES, type MapFigure } from "./figures";
export { type MapAsked, type MapSide, mappable, walkMap } from "./map";
export { FEWEST_STEPS, type MapRange, usualRange, valuesOf } from "./ranges";
