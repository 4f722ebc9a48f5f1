import { type Checked, schemaCheck } from "../schema-check";
import { type DealFile, DealFileSchema } from "./schema";

/** Checks unknown data against the deal file's schema. */
export const checkDealFile = schemaCheck(DealFileSchema);

/**
 * Reads the text of a deal file.
 *
 * @returns the file, or one sentence with what is wrong
 */
export function parseDealFile(text: string): Checked<DealFile> {
  try {
    return checkDealFile(JSON.parse(text.replace(/^\uFEFF/, "")));
  } catch (error) {
    if (error instanceof SyntaxError) return { ok: false, sentence: "This is not JSON." };
    throw error;
  }
}
