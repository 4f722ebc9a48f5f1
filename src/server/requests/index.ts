export * from "./requests";
export type { ImportRequest, NewDealRequest, SaveRequest, SettingsRequest } from "./requests.schema";
export { checkSettingsRequest } from "./settings-request";
export { checkVehicle, checkVehicles } from "./stock-requests";
