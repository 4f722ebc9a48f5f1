export { DEFAULT_SETTINGS } from "./default-settings";
export { newDealInputs, usualLine, withTaxProfile } from "./into-deal";
export { NEW_DEAL_NAMES } from "./new-deal-names";
export type {
  NewDeal,
  Settings,
  SettingsDealer,
  TaxProfileFile,
  UsualExtra,
  UsualFee,
  UsualTerm,
} from "./settings.schema";
export { settingsUpToDate } from "./up-to-date";
