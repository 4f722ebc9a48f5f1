export type { Figure } from "./figure";
export { type Failure, failure, type Result, success } from "./result";
