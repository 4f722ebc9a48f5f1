export { agreedOf, asidesMember } from "./beside";
export {
  applyChange,
  changeBetween,
  isNoChange,
} from "./changes";
export {
  type Difference,
  DOCUMENT_VERSION,
  differenceBetween,
  withDifference,
} from "./difference";
export type { Asides, DealChange, DealDocument, DealHeading, DealOption, DealOrder } from "./document.schema";
export { LONGEST_NAME } from "./longest-name";
export { membersOfFound } from "./members-of-found";
export { mergeFigures, mergeInputs } from "./merge-figures";
export { MOST_OPTIONS } from "./most-options";
export { NAMED_MEMBERS, type Named, nameOf, ownNamed } from "./named";
export { withOwnIds } from "./names-up-to-date";
export { newId, newLineId } from "./new-id";
export {
  asidesOf,
  chosenOption,
  documentOf,
  headingOf,
  optionOf,
  orderOf,
} from "./parts";
export { isSame } from "./same";
export { DEAL_STATUSES, type DealStatus } from "./statuses";
export { asItsSenderReads, changeUpToDate, saveUpToDate, upToDate } from "./up-to-date";
export { DEAL_USES, type DealUse } from "./uses";
