export { earnedBySumOfDigits, flatCharge, flatTrueRate } from "./flat-charge";
