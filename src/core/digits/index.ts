export { digitAt, digitsBetween, twoDigits } from "./digits";
