export * from "./requests";
export type {
  DealerRequest,
  ImportRequest,
  NameRequest,
  NewDealRequest,
  SaveRequest,
  SettingsDealerRequest,
  SettingsRequest,
} from "./requests.schema";
export { checkSettingsDealerRequest, checkSettingsRequest } from "./settings-request";
export { checkVehicle, checkVehicles } from "./stock-requests";
export { checkTable } from "./table-request";
