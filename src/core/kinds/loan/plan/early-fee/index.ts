export { type EarlyFee, type EarlyMoney, earlyFeeAt, earlyFeeOf } from "./early-fee";
export { earlyFeesOf, earlyFeesOn } from "./early-fees-on";
