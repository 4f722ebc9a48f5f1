export { findLease } from "./find";
export { LEASE_NAMES } from "./no-answer";
