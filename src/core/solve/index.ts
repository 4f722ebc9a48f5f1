export { type Bracket, rateBracket } from "./bracket";
export { lastWhole } from "./last-whole";
export { bracketedRoot, type Sloped } from "./root";
export { simpleGuess } from "./simple-guess";
export { type WithinBudget, withinBudget } from "./within-budget";
