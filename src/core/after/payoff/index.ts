export { type Payoff, type PayoffTerms, payoffAfter, payoffOn } from "./payoff";
export { payoffWorking } from "./payoff-working";
export type { Refund } from "./refunds";
