export { formatAmount, groupedAmount, LARGEST_AMOUNT, parseAmount } from "./amount";
export { currencyDecimals, readCurrency } from "./currency";
export { decimalText } from "./decimal-text";
export { type Fraction, type Rounding, roundFraction, roundWhenSure } from "./rounding";
