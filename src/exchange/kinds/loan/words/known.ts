import { fileWriter } from "../../../text";
import type { LoanFile } from "../file/file.schema";

/** What a figure is found from, where it is not the payment: "for a total cost of 46,000.00". */
export function knownWords(from: NonNullable<LoanFile["from"]>, currency: string): string {
  const { money, date } = fileWriter(currency);
  if ("totalCost" in from) return `for a total cost of ${money(from.totalCost)}`;
  if ("financeCharge" in from) return `for a finance charge of ${money(from.financeCharge)}`;
  if ("loanAmount" in from) return `for a loan amount of ${money(from.loanAmount)}`;
  if ("amountFinanced" in from) return `for an amount financed of ${money(from.amountFinanced)}`;
  if ("dueAtSigning" in from) return `for ${money(from.dueAtSigning)} due at signing`;
  if ("cashReceived" in from) return `for ${money(from.cashReceived)} paid out`;
  if ("endDate" in from) return `to end by ${date(from.endDate)}`;
  return `to end after ${from.payments} payments`;
}
