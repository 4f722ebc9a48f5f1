export type { DealFacts, DealToFit } from "./facts";
export { type Fit, fitterOf, type Offer, offeredDeal, paymentsFor } from "./fit";
export { type BeyondPlace, limitsOfPlace, type PlaceLimits } from "./limits-of-place";
export { type Moved, movedDeal } from "./moved";
export { plainName } from "./plain-name";
export {
  type Adjustment,
  type LeaseProgram,
  type LoanProgram,
  type Program,
  type RateRow,
  VEHICLE_CONDITIONS,
  type Worth,
} from "./program";
export { percentText, type Quotient } from "./quotient";
export { earnedWith, RANKS, type Rank, type Ranked, type Ranking, rankPrograms, sideWith } from "./rank";
export { hasScore, mostRateOf } from "./rate-of";
export { type Fact, isUnknown, type LimitName, type Reason } from "./reason";
export { LEVER_NAMES, type Lever, type WouldFit, whatWouldFit } from "./what-would-fit";
export { programFeeName } from "./with-program";
