// What `npm run schema` compiles from the schema of what was signed into compiled.js.
import type { ValidateFunction } from "ajv";

export const signedQuote: ValidateFunction;
