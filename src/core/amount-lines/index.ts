export { AMOUNT_LINE_NAMES, AMOUNT_LINES, type AmountLineName, sumOfAmounts } from "./amount-lines";
