export { whyNoExtras } from "./early-loan";
export { type KeepOrPay, keepOrPay } from "./keep-or-pay";
export { type PaidOffBy, type PaidOffTarget, type PaidOffWith, paidOffBy } from "./paid-off-by";
export { type RepaidEarly, repaidEarly } from "./repaid-early";
export type { YearlyReturn } from "./yearly-return";
