export { DEFAULT_SETTINGS } from "./default-settings";
export { newDealInputs, usualLine, withTaxProfile } from "./into-deal";
export type { Settings, TaxProfileFile, UsualExtra, UsualFee, UsualTerm } from "./settings.schema";
