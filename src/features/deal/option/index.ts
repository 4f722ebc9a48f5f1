export { hasRareParts, provideLeases, provideLoans } from "./loaded";
export { type ChangeWithinKind, type OptionAction, optionReducer, turnedInto } from "./option-actions";
export {
  type Edit,
  fieldBeside,
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
  plainFieldText,
  readTyped,
  shownQuote,
  withInputs,
} from "./option-state";
export { amountOf, shownTally, type Tally } from "./shown-tally";
