import { factorOf, PERCENT_OF_FACTOR } from "../../interest";
import { type Axes, RATE_UNITS, rateText, structureAxes } from "../kind";
import type { LeaseDeal } from "./pricing";

/** The figures of a lease that a map can vary. */
export const LEASE_AXES: Axes<LeaseDeal> = {
  ...structureAxes<LeaseDeal>(),
  // Percent a year, by whichever the lease is reckoned.
  yearlyRate: {
    value: ({ plan: { reckoning, moneyFactor, yearlyRate } }) => {
      if (reckoning === "levelYield") return yearlyRate === null ? null : inUnits(Number(yearlyRate));
      return moneyFactor === null ? null : inUnits(Number(moneyFactor) * PERCENT_OF_FACTOR);
    },
    at: (lease, value) => {
      const { plan } = lease;
      return plan.reckoning === "levelYield"
        ? { ...lease, plan: { ...plan, yearlyRate: rateText(value) } }
        : { ...lease, plan: { ...plan, moneyFactor: factorOf(value / RATE_UNITS) } };
    },
  },
  payments: {
    value: ({ plan }) => plan.payments,
    at: (lease, payments) => ({ ...lease, plan: { ...lease.plan, payments } }),
  },
  residual: {
    value: ({ plan: { residual } }) => (residual && "amount" in residual ? residual.amount : null),
    at: (lease, amount) => ({ ...lease, plan: { ...lease.plan, residual: { amount } } }),
  },
};

const inUnits = (percent: number) => Math.round(percent * RATE_UNITS);
