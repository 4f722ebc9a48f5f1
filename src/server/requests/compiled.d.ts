// Written by npm run schema.
import type { ValidateFunction } from "ajv";

export const saveRequest: ValidateFunction;
export const dealerRequest: ValidateFunction;
export const newDealRequest: ValidateFunction;
export const importRequest: ValidateFunction;
export const restoreRequest: ValidateFunction;
export const nameRequest: ValidateFunction;
export const sameRequest: ValidateFunction;
export const settingsRequest: ValidateFunction;
export const settingsDealerRequest: ValidateFunction;
export const programsRequest: ValidateFunction;
export const takeProgramRequest: ValidateFunction;
export const goneRatesRequest: ValidateFunction;
export const vehicle: ValidateFunction;
export const vehicles: ValidateFunction;
export const table: ValidateFunction;
