export {
  FOUND_FIGURES,
  type FoundFigure,
  type Known,
  type KnownFigure,
  type LoanDeal,
} from "./deal";
export { dueAtSigning } from "./due";
export { knownFigure, standsInForPrice } from "./known";
export { KNOWN_AMOUNTS, type KnownAmount } from "./known-amounts";
export { type Lent, lend } from "./lend";
export { missingFigures } from "./missing";
export { type Priced, price } from "./price";
export { withoutPayment } from "./without-payment";
