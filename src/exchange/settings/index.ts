export {
  FEWEST_MONTHS_KEPT,
  LARGEST_LOGO,
  STANDING_LINES,
  type StandingLine,
} from "../paper-parts/house-papers";
export { DEFAULT_SETTINGS } from "./default-settings";
export { newDealInputs, usualLine, withTaxProfile } from "./into-deal";
export { NEW_DEAL_NAMES } from "./new-deal-names";
export {
  DEFAULT_IDLE_MINUTES,
  FEWEST_MONTHS_OF_DEALS,
  FEWEST_MONTHS_OF_DOINGS,
  LONGEST_IDLE_MINUTES,
} from "./people-rules";
export type {
  HousePapers,
  NewDeal,
  Settings,
  SettingsDealer,
  TaxProfileFile,
  UsualExtra,
  UsualFee,
  UsualTerm,
} from "./settings.schema";
export { settingsUpToDate } from "./up-to-date";
