import { type Checked, checked } from "../checks";
import { leaseFile } from "../checks/compiled";
import type { LeaseFile } from "./lease-file.schema";

/** Checks unknown data against the schema of a deal file whose plan is a lease. */
export const checkLeaseFile = (value: unknown): Checked<LeaseFile> => checked<LeaseFile>(leaseFile, value);

/** Whether data, whatever it is, says that its plan is a lease. */
export function isLeaseFile(value: unknown): boolean {
  const plan = memberOf(value, "plan");
  return memberOf(plan, "kind") === "lease";
}

function memberOf(value: unknown, name: string): unknown {
  return typeof value === "object" && value !== null ? (value as Record<string, unknown>)[name] : undefined;
}
