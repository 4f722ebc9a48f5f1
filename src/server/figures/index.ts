export { figuresFrom, figuresOf } from "./figures-of";
export { makeFigures } from "./make-figures";
export { startFigures } from "./service";
