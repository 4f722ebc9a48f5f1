export {
  FOUND_FIGURES,
  type FoundFigure,
  type Known,
  type KnownFigure,
  type LoanDeal,
} from "./deal";
export { dueAtSigning } from "./due";
export { KNOWN_AMOUNTS, type KnownAmount, knownFigure, standsInForPrice } from "./known";
export { type Lent, lend } from "./lend";
export { missingFigures } from "./missing";
export { type Priced, price } from "./price";
export { withoutPayment } from "./without-payment";
