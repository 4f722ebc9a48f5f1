export { numberOfPlain } from "./amount";
export { typedOtherWay } from "./other-way";
export { periodInSearch } from "./period";
export type { TypedAt, TypedKind, Understood } from "./typed";
export { understood } from "./understood";
