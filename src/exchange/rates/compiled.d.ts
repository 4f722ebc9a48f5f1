// Written by npm run schema.
import type { ValidateFunction } from "ajv";

export const ratesFile: ValidateFunction;
