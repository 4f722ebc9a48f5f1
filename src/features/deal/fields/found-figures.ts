import type { FoundFigure, WorkedFigure } from "@/core";

/** The figure being found, as the screen names it, and the one that its working explains. */
export const FOUND_NAMES: Record<FoundFigure, { name: string; working: WorkedFigure }> = {
  payment: { name: "payment", working: "payment" },
  price: { name: "price", working: "price" },
  down: { name: "cash down", working: "down" },
  downPercent: { name: "percent down", working: "down" },
  allowance: { name: "trade-in allowance", working: "allowance" },
  yearlyRate: { name: "yearly rate", working: "yearlyRate" },
  payments: { name: "number of payments", working: "payments" },
  balloon: { name: "balloon", working: "balloon" },
  extra: { name: "extra payment", working: "savedInterest" },
  lump: { name: "extra on a date", working: "savedInterest" },
};
