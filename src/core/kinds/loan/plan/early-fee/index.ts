export { type EarlyFee, type EarlyMoney, earlyFeeOf } from "./early-fee";
export { earlyFeesOn } from "./early-fees-on";
