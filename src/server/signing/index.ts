export { keepLateSignings } from "./late-signings";
export { type SigningOccasion, signingOf } from "./signing-of";
