export { numberOfPlain } from "./amount";
export type { TypedAt, TypedKind, Understood } from "./typed";
export { understood } from "./understood";
