import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";

/** A van leased by a money factor, with a tax on each payment. */
export const VAN: LeaseFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { listPrice: "41850.00", price: "40000.00" },
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    payments: 36,
    frequency: "monthly",
    signed: "2026-11-24",
    inAdvance: 1,
    residual: { amount: "18240.00" },
    taxes: [{ name: "County tax", rate: "6.25", on: ["payment"] }],
  },
  find: "payment",
};

/** A loan with a balloon, a tax and a trade-in. */
export const LOAN: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "40000.00",
    taxes: [{ name: "County tax", rate: "6.25", on: ["price"] }],
    tradeIn: { allowance: "9000.00", owed: "6000.00" },
    down: { amount: "2000.00" },
  },
  plan: {
    kind: "loan",
    yearlyRate: "6.49",
    payments: 60,
    frequency: "monthly",
    signed: "2026-11-24",
    firstPayment: "2027-01-08",
    balloon: { percent: "30" },
  },
  find: "payment",
};
