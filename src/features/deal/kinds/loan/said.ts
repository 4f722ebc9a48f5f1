import type { LoanFile } from "@/exchange/kinds/loan";
import { NAMES_OF_FOUND } from "../../fields";
import type { SaidOfKind } from "../../option/asked-kind";

/** What phrases and commands say of a loan. */
export const LOAN_SAID: SaidOfKind<LoanFile> = {
  fields: () => ({
    years: "payments",
    payments: "payments",
    rate: "yearlyRate",
    allowance: "allowance",
    owed: "owed",
    down: "down",
    balloon: "balloon",
    extra: "extra",
    firstPayment: "firstPayment",
    signed: "signed",
    price: "price",
  }),
  finds: {
    payment: "payment",
    price: "price",
    down: "down",
    allowance: "allowance",
    rate: "yearlyRate",
    payments: "payments",
    balloon: "balloon",
    extra: "extra",
  },
  knowns: {
    payment: "payment",
    totalCost: "totalCost",
    financeCharge: "financeCharge",
    dueAtSigning: "dueAtSigning",
    amountFinanced: "amountFinanced",
    loanAmount: "loanAmount",
    endDate: "endDate",
  },
  knownField: known => (known === "endDate" ? "known/endDate" : "known/amount"),
  foundName: find => NAMES_OF_FOUND[find as keyof typeof NAMES_OF_FOUND],
  foundFields: ["price", "down", "allowance", "yearlyRate", "payments", "balloon", "extra"],
  findCommands: [
    ["payment", "payment"],
    ["price", "price"],
    ["down", "cash down"],
    ["allowance", "trade-in allowance"],
    ["yearlyRate", "yearly rate"],
    ["payments", "number of payments"],
    ["balloon", "balloon"],
    ["extra", "extra with every payment"],
    ["lump", "extra on a date"],
  ],
  interest: {
    name: "Interest and finance charge, how they come about",
    button: /^Working of the finance charge/,
  },
  payoff: {
    name: "Payoff: the balance after each payment, in the repayment table",
    says: "Goes to the repayment table.",
  },
  turn: { name: "Make it a lease", to: "lease" },
};
