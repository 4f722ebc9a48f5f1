export { checkImportRequest, checkNewDealRequest, checkSaveRequest } from "./requests";
export type { ImportRequest, NewDealRequest, SaveRequest } from "./requests.schema";
