export { formatAmount, groupedAmount, parseAmount } from "./amount";
export { currencyDecimals, readCurrency } from "./currency";
export { decimalText } from "./decimal-text";
export { type Fraction, type Rounding, roundFraction, roundWhenSure } from "./rounding";
