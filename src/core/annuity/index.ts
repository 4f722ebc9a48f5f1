export { exactPaymentPerUnit, type LevelTerms, levelPaymentFor, paymentPerUnit } from "./level-payment";
