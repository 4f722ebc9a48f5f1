export { answer, withFound } from "./answer";
export { isPlain } from "./is-plain";
export { isLevel, levelAnswer } from "./level-answer";
export { MEASURES } from "./measure";
export type { Answer } from "./priced-answer";
export { dependsOn } from "./search";
