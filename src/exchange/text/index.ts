export { amountText, typedAmountText } from "./amount-text";
export { longDate, monthName, shortDate } from "./date-text";
export { firstCharacters } from "./first-characters";
export { factorText, fineAmount, rateText } from "./number-text";
export { type DateBase, readDate, readMonth } from "./read-date";
export { readJson } from "./read-json";
export { searchText } from "./search-text";
export { sizeText } from "./size-text";
export { termText, yearsText } from "./term-text";
