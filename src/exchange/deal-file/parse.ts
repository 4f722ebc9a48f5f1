import { type Checked, checked } from "../checks";
import { dealFile, leaseFile } from "../checks/compiled";
import { HALF_CHARACTER, holdsHalfCharacter } from "../text";
import type { DealInputs } from "./inputs";

/**
 * Checks unknown data against the deal file's schema, that of a lease where its plan says so.
 *
 * @param place where it stands in what was given, such as "/document/inputs"; left out where it is all of it
 */
export const checkDealInputs = (value: unknown, place?: string): Checked<DealInputs> =>
  checked<DealInputs>(isLeaseFile(value) ? leaseFile : dealFile, value, place);

/** Whether data, whatever it is, says that its plan is a lease. */
function isLeaseFile(value: unknown): boolean {
  return memberOf(memberOf(value, "plan"), "kind") === "lease";
}

function memberOf(value: unknown, name: string): unknown {
  return typeof value === "object" && value !== null ? (value as Record<string, unknown>)[name] : undefined;
}

const BYTE_ORDER_MARK = 0xfeff;

/** Reads JSON, or says in one sentence that it is none. */
export function parseJson(text: string): Checked<unknown> {
  try {
    const value = JSON.parse(text.charCodeAt(0) === BYTE_ORDER_MARK ? text.slice(1) : text);
    return holdsHalfCharacter(text, value) ? { ok: false, sentence: HALF_CHARACTER } : { ok: true, value };
  } catch (error) {
    if (error instanceof SyntaxError) return { ok: false, sentence: "This is not JSON." };
    throw error;
  }
}
