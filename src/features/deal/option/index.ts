export type { DeskKinds, LeaseKind, LoanKind } from "./desk-kind";
export { type ChangeWithinKind, type OptionAction, optionReducer, turnedInto } from "./option-actions";
export {
  deskOf,
  type Edit,
  fieldBeside,
  fieldError,
  fieldIn,
  fieldText,
  fieldUnit,
  hasErrors,
  isFoundIn,
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
