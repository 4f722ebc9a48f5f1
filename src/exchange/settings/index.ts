export { DEFAULT_SETTINGS } from "./default-settings";
export { newDealInputs, usualLine, withTaxProfile } from "./into-deal";
export type { Settings, TaxProfileFile, UsualExtra, UsualFee } from "./settings.schema";
