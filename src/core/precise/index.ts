export { exponential, logarithm } from "./exponential";
export { type Fixed, fixedFloat, fixedRatio, floatOf, ONE, over, power, times } from "./fixed-point";
export { type RoundingRule, roundFixed, roundHalfEven } from "./rounding";
