import type { Known } from "@/core";
import type { Reader } from "../../reading";
import type { LoanFile } from "./file/file.schema";

/** What a file's figure is found from, in place of the plan's payment. */
export function readKnown(from: NonNullable<LoanFile["from"]>, read: Reader): Known {
  if ("totalCost" in from) {
    return { figure: "totalCost", value: read.amount("totalCost", "total cost", from.totalCost) ?? 0 };
  }
  if ("financeCharge" in from) {
    const value = read.amount("financeCharge", "finance charge", from.financeCharge) ?? 0;
    return { figure: "financeCharge", value };
  }
  if ("loanAmount" in from) {
    return { figure: "loanAmount", value: read.amount("loanAmount", "loan amount", from.loanAmount) ?? 0 };
  }
  if ("amountFinanced" in from) {
    const value = read.amount("amountFinanced", "amount financed", from.amountFinanced) ?? 0;
    return { figure: "amountFinanced", value };
  }
  if ("dueAtSigning" in from) {
    const value = read.amount("dueAtSigning", "sum due at signing", from.dueAtSigning) ?? 0;
    return { figure: "dueAtSigning", value };
  }
  if ("cashReceived" in from) {
    const value = read.amount("cashReceived", "amount received", from.cashReceived) ?? 0;
    return { figure: "cashReceived", value };
  }
  if ("endDate" in from) {
    return { figure: "endDate", value: read.date("endDate", "end date", from.endDate) ?? 0 };
  }
  return { figure: "payments", value: Number(from.payments) };
}
