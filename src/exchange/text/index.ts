export { amountText, typedAmountText } from "./amount-text";
export { longDate, monthName, shortDate } from "./date-text";
export { factorText, fineAmount, rateText } from "./number-text";
export { type DateBase, readDate } from "./read-date";
export { searchText } from "./search-text";
export { sizeText } from "./size-text";
