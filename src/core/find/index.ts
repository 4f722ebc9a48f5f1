export { answer, withFound } from "./answer";
export { isPlain } from "./is-plain";
export { MEASURES } from "./measure";
export { type Answer, plainAnswer } from "./plain-answer";
export { dependsOn } from "./search";
