export { type Payoff, payoffAfter, payoffOn } from "./payoff";
export type { Refund } from "./refunds";
