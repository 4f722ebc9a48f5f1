export { accrualAfter, type Repaid, rateOfPeriod, type Share, shareOf } from "./accrual";
export { interestLeft } from "./interest-left";
