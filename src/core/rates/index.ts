export { convertRate, MONEY_FACTOR_TO_PERCENT, type NominalCompounding, type RateKind } from "./convert-rate";
