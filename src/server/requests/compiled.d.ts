// What `npm run schema` compiles from the schemas of the requests into compiled.js.
import type { ValidateFunction } from "ajv";

export const saveRequest: ValidateFunction;
export const newDealRequest: ValidateFunction;
export const importRequest: ValidateFunction;
export const restoreRequest: ValidateFunction;
export const settingsRequest: ValidateFunction;
export const vehicle: ValidateFunction;
export const vehicles: ValidateFunction;
