export * from "./limits";
export { wholeText } from "./whole-text";
