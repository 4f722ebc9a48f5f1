export { type EarlyEnd, endLeaseEarly, excessDistance } from "./after-lease";
export { evaluateLease, type LeaseSummary, summarizeLease } from "./evaluate-lease";
export {
  type Distance,
  LEASE_FIGURES,
  LEASE_KNOWN,
  LEASE_RATE_NOTICE,
  type Lease,
  type LeaseFigure,
  type LeaseKnown,
  type LeasePlan,
  type LeaseTax,
  type LeaseTaxed,
  PERCENT_OF_FACTOR,
  type Residual,
  type ResidualDue,
  type SecurityDeposit,
} from "./lease";
export type { LeaseDueItem, LeaseLine, LeaseQuote } from "./lease-quote";
export { type LeaseTally, leaseTally } from "./lease-tally";
export { LEASE_NAMES } from "./no-lease-answer";
export type { LeaseRow } from "./table";
