export { type OptionAction, optionReducer } from "./option-actions";
export {
  fieldError,
  fieldText,
  fieldUnit,
  hasErrors,
  isStale,
  type OptionState,
  openOption,
  shownQuote,
} from "./option-state";
export { amountOf, shownTally, type Tally } from "./shown-tally";
