export { overTerm, paymentAt, type Reached, type ReachTerm, reach } from "./reach";
