export { answer } from "./answer";
export { MEASURES } from "./measure";
export { type Answer, isPlain, plainAnswer } from "./plain-answer";
