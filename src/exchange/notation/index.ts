export { harmlessText, textOfHarmless } from "./harmless";
export { DEFAULT_LOCALE, LOCALE_NAMES, LOCALES, type Locale } from "./locales";
export { type Notation, notationOf } from "./notation";
export { plainDate, plainFigure, plainSearch } from "./read";
export { spreadsheetAmount, spreadsheetDate } from "./spreadsheet";
export { amountIn, dateIn, decimalIn, inNotation, longDateIn } from "./write";
