export { type EarlyEnd, endLeaseEarly, excessDistance } from "./after/early-end";
export { evaluateLease, type LeaseSummary, summarizeLease } from "./evaluate";
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
} from "./pricing/lease";
export type { LeaseDueItem, LeaseLine, LeaseQuote } from "./pricing/quote";
export { type LeaseTally, leaseTally } from "./pricing/tally";
export { LEASE_NAMES } from "./find/no-answer";
export type { LeaseRow } from "./pricing/table";
