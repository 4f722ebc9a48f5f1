import { KNOWN_AMOUNTS } from "@/core";
import { fileWriter } from "../../../text";
import type { LoanFile } from "../file/file.schema";
import { knownAmount } from "../file/known-amount";

/** What a figure is found from, where it is not the payment: "for a total cost of 46,000.00". */
export function knownWords(from: NonNullable<LoanFile["from"]>, currency: string): string {
  const { money, date } = fileWriter(currency);
  if ("endDate" in from) return `to end by ${date(from.endDate)}`;
  if ("payments" in from) return `to end after ${from.payments} payments`;
  const [figure, amount] = knownAmount(from);
  if (figure === "dueAtSigning") return `for ${money(amount)} due at signing`;
  if (figure === "cashReceived") return `for ${money(amount)} paid out`;
  return `for ${figure === "amountFinanced" ? "an" : "a"} ${KNOWN_AMOUNTS[figure]} of ${money(amount)}`;
}
