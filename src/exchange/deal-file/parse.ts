import { type Checked, schemaCheck } from "../schema-check";
import { type DealFile, DealFileSchema } from "./schema";

/** Checks unknown data against the deal file's schema. */
export const checkDealFile = schemaCheck(DealFileSchema);

/** Reads JSON, or says in one sentence that it is none. */
export function parseJson(text: string): Checked<unknown> {
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, "")) };
  } catch (error) {
    if (error instanceof SyntaxError) return { ok: false, sentence: "This is not JSON." };
    throw error;
  }
}

/**
 * Reads the text of a deal file.
 *
 * @returns the file, or one sentence with what is wrong
 */
export function parseDealFile(text: string): Checked<DealFile> {
  const json = parseJson(text);
  return json.ok ? checkDealFile(json.value) : json;
}
