// Options beside the first one of deals of the demo scenario: a customer is shown a choice.
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";

/** A deal's other options, from its first, and which is chosen, from 0. */
type Beside = {
  budget: string;
  chosen: number;
  options: (first: DealFile) => { name: string; inputs: DealFile }[];
};

export const OPTIONS: Record<string, Beside> = {
  "Amaru Pelling": {
    budget: "600.00",
    chosen: 0,
    options: first => (isLease(first) ? [] : besideLoan(first)),
  },
};

const besideLoan = (loan: LoanFile): { name: string; inputs: DealFile }[] => {
  const { currency, structure } = loan;
  const lease: LeaseFile = {
    format: "kellux-deal",
    version: 1,
    currency,
    structure,
    find: "payment",
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: "0.00225",
      payments: 36,
      frequency: "monthly",
      inAdvance: 1,
      residual: { percent: "47", of: "price" },
      signed: "2026-11-24",
    },
  };
  return [
    {
      name: "",
      inputs: {
        ...loan,
        structure: { ...loan.structure, down: { amount: "9000.00" } },
        plan: { ...loan.plan, payments: 60, yearlyRate: "6.19" },
      },
    },
    { name: "Lease it, 36 months", inputs: lease },
  ];
};
