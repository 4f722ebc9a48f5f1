export type {
  CodeRequest,
  DealPeopleRequest,
  LinkRequest,
  NewPasswordRequest,
  PersonRequest,
  ReleaseRequest,
  SignInRequest,
} from "./people.schema";
export {
  checkCodeRequest,
  checkDealPeopleRequest,
  checkLinkRequest,
  checkNewPasswordRequest,
  checkPasswordRequest,
  checkPersonRequest,
  checkReleaseRequest,
  checkSignInRequest,
} from "./people-requests";
export { checkGoneRatesRequest, checkProgramsRequest, checkTakeProgramRequest } from "./programs-requests";
export * from "./requests";
export type {
  DealerRequest,
  GoneRatesRequest,
  ImportRequest,
  NameRequest,
  NewDealRequest,
  ProgramsRequest,
  SaveRequest,
  SettingsDealerRequest,
  SettingsRequest,
  TakeProgramRequest,
} from "./requests.schema";
export { checkSettingsDealerRequest, checkSettingsRequest } from "./settings-request";
export { checkVehicle, checkVehicles } from "./stock-requests";
export { checkTable } from "./table-request";
