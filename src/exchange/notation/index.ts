export { DEFAULT_LOCALE, LOCALE_NAMES, LOCALES, type Locale } from "./locales";
export { type Notation, notationOf } from "./notation";
export { plainDate, plainFigure, plainSearch } from "./read";
export { amountIn, dateIn, inNotation, longDateIn, spreadsheetAmount, spreadsheetDate } from "./write";
