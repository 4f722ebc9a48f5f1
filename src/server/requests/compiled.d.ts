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
export const signInRequest: ValidateFunction;
export const codeRequest: ValidateFunction;
export const passwordRequest: ValidateFunction;
export const newPasswordRequest: ValidateFunction;
export const linkRequest: ValidateFunction;
export const personRequest: ValidateFunction;
export const dealPeopleRequest: ValidateFunction;
export const releaseRequest: ValidateFunction;
