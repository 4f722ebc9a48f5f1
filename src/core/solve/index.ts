export { type Bracket, rateBracket } from "./bracket";
export { lastNearby } from "./last-nearby";
export { lastWhole } from "./last-whole";
export { leastFixedPoint } from "./least-fixed-point";
export { bracketedRoot, type Sloped } from "./root";
export { roundest } from "./roundest";
export { simpleGuess } from "./simple-guess";
export { type WithinBudget, withinBudget } from "./within-budget";
