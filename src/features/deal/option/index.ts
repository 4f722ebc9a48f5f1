export { type ChangeWithinKind, type OptionAction, optionReducer } from "./option-actions";
export {
  fieldError,
  fieldText,
  fieldUnit,
  hasErrors,
  isStale,
  type LeaseState,
  type LoanState,
  notationIn,
  type OptionState,
  openOption,
  readTyped,
  shownQuote,
} from "./option-state";
export {
  hasRareParts,
  isLeaseLoaded,
  isRestLoaded,
  loadLease,
  loadRest,
  needsRest,
  provideRest,
} from "./rest";
export { amountOf, shownTally, type Tally } from "./shown-tally";
