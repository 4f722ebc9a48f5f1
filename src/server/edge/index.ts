export { edge } from "./handler";
export { EVERY_ANSWER } from "./headers";
