export type { Figure } from "./figure";
export { missing, type Wanted } from "./missing";
export { type Failure, failure, type Result, success } from "./result";
