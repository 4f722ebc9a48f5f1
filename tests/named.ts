import { createHash } from "node:crypto";
import type { Named } from "@/exchange/deal-document";

/** A customer or a vehicle of tests: the same one wherever it is called so. */
export function named(name: string): Named {
  const digits = createHash("sha256").update(name).digest("hex");
  return { id: digits.slice(0, 32).replace(/^(.{8})(.{4})(.{4})(.{4})/, "$1-$2-$3-$4-"), name };
}
