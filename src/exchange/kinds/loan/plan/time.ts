import type { LoanPlan } from "@/core";
import type { PlanPart } from "./part";

/** How often interest is added, as a phrase. */
export const COMPOUNDED = {
  payments: "at each payment",
  daily: "daily",
  weekly: "weekly",
  monthly: "monthly",
  quarterly: "quarterly",
  halfYearly: "half-yearly",
  yearly: "yearly",
  continuous: "without pause",
};

/** How time counts, and what payments are rounded to. */
export const time: PlanPart = {
  read: ({ compounding, timing, dayCount, twiceMonthlyDays, roundingStep }, read) => {
    const given: Partial<LoanPlan> = {};
    if (compounding !== undefined) given.compounding = compounding;
    if (timing !== undefined) given.timing = timing;
    if (dayCount !== undefined) given.dayCount = dayCount;
    if (twiceMonthlyDays) given.twiceMonthlyDays = [twiceMonthlyDays[0] ?? 0, twiceMonthlyDays[1] ?? 0];
    if (roundingStep !== undefined) {
      given.roundingStep = read.amount("roundingStep", "rounding step", roundingStep) ?? 1;
    }
    return given;
  },
  words: ({ timing, compounding, dayCount, twiceMonthlyDays, roundingStep }, { money }) => [
    timing === "advance" ? "paid in advance" : "",
    compounding && compounding !== "payments" ? `interest compounded ${COMPOUNDED[compounding]}` : "",
    dayCount && dayCount !== "equal" ? `days counted ${dayCount}` : "",
    twiceMonthlyDays ? `on days ${twiceMonthlyDays.join(" and ")} of the month` : "",
    roundingStep === undefined ? "" : `payment rounded in steps of ${money(roundingStep)}`,
  ],
};
