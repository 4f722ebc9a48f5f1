// What `npm run schema` compiles from the schemas of the exchange into compiled.js.
import type { ValidateFunction } from "ajv";

export const dealFile: ValidateFunction;
export const dealFrame: ValidateFunction;
export const leaseFile: ValidateFunction;
export const questionFile: ValidateFunction;
