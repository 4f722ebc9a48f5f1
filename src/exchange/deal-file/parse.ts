import { type Checked, checked } from "../checks";
import { dealFile } from "../checks/compiled";
import type { DealFile } from "./deal-file.schema";

/**
 * Checks unknown data against the deal file's schema.
 *
 * @param place where it stands in what was given, such as "/document/inputs"; left out where it is all of it
 */
export const checkDealFile = (value: unknown, place?: string): Checked<DealFile> =>
  checked<DealFile>(dealFile, value, place);

const BYTE_ORDER_MARK = 0xfeff;

/** Reads JSON, or says in one sentence that it is none. */
export function parseJson(text: string): Checked<unknown> {
  try {
    return { ok: true, value: JSON.parse(text.charCodeAt(0) === BYTE_ORDER_MARK ? text.slice(1) : text) };
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
