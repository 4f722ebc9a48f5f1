export { type ChargedBack, chargebackAfter } from "./chargeback";
export type {
  Chargeback,
  DealerSide,
  ExtraChargeback,
  OfficerShare,
  OtherIncome,
  ReserveTerms,
} from "./dealer-side";
export { type EarnedLine, type Gross, type Income, income, NO_SIDE } from "./income";
export { type EarnsIt, earnedOf, incomeThatEarns, type WantedIncome } from "./income-that-earns";
export { incomeWorking } from "./income-working";
export { isFlatOnly, isSameRate, type Reserve, reserveOf } from "./reserve";
export { contractRate, spreadOf } from "./spread";
