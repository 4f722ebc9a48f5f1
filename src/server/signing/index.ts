export { keepLateSignings } from "./late-signings";
export { signingOf } from "./signing-of";
