export { MAP_AXES, MAP_FIGURES, type MapAxis, type MapFigure, RATE_UNITS, rateText } from "../kinds/kind";
export { atValue, axesOf, valueOn } from "./axes";
export { figureName, figureOf, figuresOn } from "./figures";
export { type MapAsked, type MapSide, walkMap } from "./map";
export { FEWEST_STEPS, type MapRange, usualRange, valuesOf } from "./ranges";
