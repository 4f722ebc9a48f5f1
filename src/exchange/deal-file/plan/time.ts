import { asTheyStand, type PlanPart } from "./part";

const COMPOUNDED = {
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
  read: (plan, read) => {
    const { twiceMonthlyDays: [first = 0, second = 0] = [], roundingStep } = plan;
    return {
      ...asTheyStand(plan, "compounding", "timing", "dayCount"),
      ...(plan.twiceMonthlyDays && { twiceMonthlyDays: [first, second] }),
      ...(roundingStep !== undefined && {
        roundingStep: read.amount("roundingStep", "rounding step", roundingStep) ?? 1,
      }),
    };
  },
  words: ({ timing, compounding, dayCount, twiceMonthlyDays, roundingStep }, { money }) => [
    timing === "advance" ? "paid in advance" : "",
    compounding && compounding !== "payments" ? `interest compounded ${COMPOUNDED[compounding]}` : "",
    dayCount && dayCount !== "equal" ? `days counted ${dayCount}` : "",
    twiceMonthlyDays ? `on days ${twiceMonthlyDays.join(" and ")} of the month` : "",
    roundingStep === undefined ? "" : `payment rounded in steps of ${money(roundingStep)}`,
  ],
};
