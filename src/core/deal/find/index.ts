export { type Answer, answer } from "./answer";
