export { type OptionAction, optionReducer } from "./option-actions";
export {
  fieldError,
  fieldText,
  fieldUnit,
  hasErrors,
  isStale,
  notationIn,
  type OptionState,
  openOption,
  readTyped,
  shownQuote,
} from "./option-state";
export { hasRareParts, isRestLoaded, loadRest, needsRest, provideRest } from "./rest";
export { amountOf, shownTally, type Tally } from "./shown-tally";
