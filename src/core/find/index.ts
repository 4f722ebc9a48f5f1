export { type Answer, answer } from "./answer";
export { MEASURES } from "./measure";
