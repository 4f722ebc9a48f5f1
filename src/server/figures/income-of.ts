import type { IncomeFrom } from "@/data/deal-income";
import { type EarnedFigures, earnedFigures } from "@/exchange/income";

/** What a deal earns, from JSON. */
export const incomeFrom = ({ inputs, known, place }: IncomeFrom): EarnedFigures =>
  earnedFigures(JSON.parse(inputs), known === null ? {} : JSON.parse(known), place ?? undefined);
