export { basePayment, paymentParts, unroundedBase } from "./base-payment";
export { dueFallsWithCash } from "./capitalize";
export type { Capitalized } from "./capitalized";
export { dueBesidesCash, leaseDueItems } from "./due";
export { bearsRent, implicitRate } from "./implicit-rate";
export {
  LEASE_FOUND_FIGURES,
  LEASE_KNOWN,
  LEASE_RATE_NOTICE,
  type LeaseDeal,
  type LeaseFoundFigure,
  type LeaseKnown,
  type LeasePlan,
  type LeaseTax,
  type LeaseTaxed,
  type Residual,
  type ResidualDue,
  type SecurityDeposit,
} from "./lease";
export { leaseLines } from "./lines";
export { type PricedLease, priceLease } from "./price";
export { missingLeaseFigures } from "./problems";
export type { LeaseDueItem, LeaseQuote } from "./quote";
export { type LeaseRow, leaseTable } from "./table";
export { type LeaseTally, leaseTally } from "./tally";
export { paymentTax, purchaseTax } from "./taxes";
export { type LeaseTerms, leaseTerms } from "./terms";
