// Written by npm run schema.
import type { ValidateFunction } from "ajv";

export const dealFile: ValidateFunction;
export const leaseFile: ValidateFunction;
export const dealFrame: ValidateFunction;
export const dealerFile: ValidateFunction;
export const applicant: ValidateFunction;
export const asides: ValidateFunction;
export const place: ValidateFunction;
export const questionFile: ValidateFunction;
