export { type Finder, placesText, RATE_PLACES } from "./finder";
export { lastRight, type Sought, type Turned } from "./last-right";
export { anyAmount, fillStructure } from "./structure-finders";
