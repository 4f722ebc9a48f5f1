export { type EarlyGrid, type GridPlace, walkEarlyGrid } from "./early-grid";
export { whyNoExtras } from "./early-loan";
export { earlyWorking } from "./early-working";
export { type ExtraMoney, inPlaceOf } from "./in-place-of";
export { type KeepOrPay, keepOrPay } from "./keep-or-pay";
export { keepOrPayWorking } from "./keep-or-pay-working";
export { type PaidOffBy, type PaidOffTarget, paidOffBy } from "./paid-off-by";
export { type RepaidEarly, repaidEarly } from "./repaid-early";
export { type ReturnAfterTax, returnAfterTax, type YearlyReturn } from "./yearly-return";
