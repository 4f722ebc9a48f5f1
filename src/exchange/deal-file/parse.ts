import { type Checked, checked } from "../checks";
import { dealFile, leaseFile } from "../checks/compiled";
import type { DealFile } from "../kinds";

/**
 * Checks unknown data against the deal file's schema, that of a lease where its plan says so.
 *
 * @param place where it stands in what was given, such as "/document/inputs"; left out where it is all of it
 */
export const checkDealFile = (value: unknown, place?: string): Checked<DealFile> =>
  checked<DealFile>(isLeaseFile(value) ? leaseFile : dealFile, value, place);

/** Whether data, whatever it is, says that its plan is a lease. */
function isLeaseFile(value: unknown): boolean {
  return memberOf(memberOf(value, "plan"), "kind") === "lease";
}

function memberOf(value: unknown, name: string): unknown {
  return typeof value === "object" && value !== null ? (value as Record<string, unknown>)[name] : undefined;
}
