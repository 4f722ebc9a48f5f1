export type { ReachTerm } from "../kinds/kind";
export { overTerm, paymentAt, type Reached, reach } from "./reach";
