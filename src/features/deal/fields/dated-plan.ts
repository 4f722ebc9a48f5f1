import { type DatedPlan, parseIsoDate } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";

/** What of a loan's plan says when its payments fall; a date that cannot be read is none. */
export function datedPlan({
  frequency,
  timing,
  signed,
  firstPayment,
  twiceMonthlyDays,
}: LoanFile["plan"]): DatedPlan {
  const day = (iso: string | undefined) => parseIsoDate(iso ?? "") ?? null;
  return {
    frequency,
    signed: day(signed),
    firstPayment: day(firstPayment),
    ...(timing && { timing }),
    ...(twiceMonthlyDays && { twiceMonthlyDays: twiceMonthlyDays as [number, number] }),
  };
}
