import { type Axes, RATE_UNITS, rateText, structureAxes } from "../kind";
import type { LoanDeal } from "./deal";

const isNotListed = ({ plan }: LoanDeal) => plan.datedPayments === undefined;

/** The figures of a loan that a map can vary. */
export const LOAN_AXES: Axes<LoanDeal> = {
  ...structureAxes<LoanDeal>(),
  yearlyRate: {
    value: ({ plan: { yearlyRate } }) =>
      yearlyRate === null ? null : Math.round(Number(yearlyRate) * RATE_UNITS),
    at: (deal, value) => ({ ...deal, plan: { ...deal.plan, yearlyRate: rateText(value) } }),
  },
  payments: {
    value: ({ plan }) => plan.payments,
    at: (deal, payments) => ({ ...deal, plan: { ...deal.plan, payments } }),
    isOf: isNotListed,
  },
  balloon: {
    value: ({ plan: { balloon } }) => {
      if (!balloon) return 0;
      return "amount" in balloon ? balloon.amount : null;
    },
    at: (deal, amount) => {
      const { balloon: _, ...plan } = deal.plan;
      return { ...deal, plan: amount === 0 ? plan : { ...plan, balloon: { amount } } };
    },
    isOf: isNotListed,
  },
};
