import type { Frequency } from "./frequency";

/** What a frequency is called: "60 monthly payments", "the rate of one month", "paid every month". */
export const FREQUENCY_NAMES: Record<Frequency, { adjective: string; period: string; every: string }> = {
  weekly: { adjective: "weekly", period: "week", every: "every week" },
  everyTwoWeeks: { adjective: "two-weekly", period: "two weeks", every: "every two weeks" },
  twiceAMonth: { adjective: "twice-monthly", period: "half month", every: "twice a month" },
  monthly: { adjective: "monthly", period: "month", every: "every month" },
  everyTwoMonths: { adjective: "two-monthly", period: "two months", every: "every two months" },
  quarterly: { adjective: "quarterly", period: "quarter", every: "every quarter" },
  halfYearly: { adjective: "half-yearly", period: "half year", every: "every half year" },
  yearly: { adjective: "yearly", period: "year", every: "every year" },
};
