import { KNOWN_AMOUNTS, type Known } from "@/core";
import type { Reader } from "../../reading";
import type { LoanFile } from "./file/file.schema";
import { knownAmount } from "./file/known-amount";

/** What a file's figure is found from, in place of the plan's payment. */
export function readKnown(from: NonNullable<LoanFile["from"]>, read: Reader): Known {
  if ("endDate" in from) {
    return { figure: "endDate", value: read.date("endDate", "end date", from.endDate) ?? 0 };
  }
  if ("payments" in from) return { figure: "payments", value: Number(from.payments) };
  const [figure, amount] = knownAmount(from);
  return { figure, value: read.amount(figure, KNOWN_AMOUNTS[figure], amount) ?? 0 };
}
