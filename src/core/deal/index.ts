export type { Deal, FoundFigure, Known, KnownFigure } from "./deal";
export { knownFigure, standsInForPrice } from "./known";
export { type Lent, lend } from "./lend";
export { missingFigures } from "./missing";
export { type Priced, price } from "./price";
