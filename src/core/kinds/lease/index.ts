export { type EarlyEnd, endLeaseEarly, excessDistance } from "./after/early-end";
export { leaseEffectiveRate } from "./after/effective-rate";
export { evaluateLease, type LeaseSummary, summarizeLease } from "./evaluate";
export { LEASE_NAMES } from "./find";
export { LEASE } from "./kind";
export {
  LEASE_FOUND_FIGURES,
  LEASE_KNOWN,
  LEASE_RATE_NOTICE,
  type LeaseDeal,
  type LeaseDueItem,
  type LeaseFoundFigure,
  type LeaseKnown,
  type LeasePlan,
  type LeaseQuote,
  type LeaseRow,
  type LeaseTally,
  type LeaseTax,
  type LeaseTaxed,
  leaseTally,
  type Residual,
  type ResidualDue,
  type SecurityDeposit,
} from "./pricing";
export { leaseWorking, WORKED_LEASE_FIGURES, type WorkedLeaseFigure } from "./working/working";
