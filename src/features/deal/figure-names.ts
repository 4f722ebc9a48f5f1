import type { FoundFigure, WorkedFigure } from "@/core";
import type { FieldName } from "./read-field";

/** What can be found on the screen itself; a deal file can ask for more. */
export type DeskFind = Extract<FoundFigure, "payment" | "price" | "down">;

/** The figure being found, as the screen names it, and the one that its working explains. */
export const FOUND_FIGURES: Record<FoundFigure, { name: string; working: WorkedFigure }> = {
  payment: { name: "payment", working: "payment" },
  price: { name: "price", working: "price" },
  down: { name: "cash down", working: "down" },
  downPercent: { name: "percent down", working: "down" },
  allowance: { name: "trade-in allowance", working: "allowance" },
  yearlyRate: { name: "yearly rate", working: "yearlyRate" },
  payments: { name: "number of payments", working: "payments" },
  balloon: { name: "balloon", working: "balloon" },
  extra: { name: "extra payment", working: "savedInterest" },
  lump: { name: "extra payment", working: "savedInterest" },
};

const FOUND_IN: Partial<Record<FieldName, readonly FoundFigure[]>> = {
  price: ["price"],
  allowance: ["allowance"],
  down: ["down", "downPercent"],
  yearlyRate: ["yearlyRate"],
  payments: ["payments"],
  years: ["payments"],
  payment: ["payment"],
};

/** Whether what a field shows is the figure being found. */
export function isFoundIn(field: FieldName, find: FoundFigure): boolean {
  return FOUND_IN[field]?.includes(find) ?? false;
}

/** Whether the screen itself offers to find a figure. */
export function isDeskFind(find: FoundFigure): find is DeskFind {
  return find === "payment" || find === "price" || find === "down";
}
