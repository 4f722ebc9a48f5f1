import { LEASE_NAMES } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { SaidOfKind } from "../../option/asked-kind";

/** What phrases and commands say of a lease. */
export const LEASE_SAID: SaidOfKind<LeaseFile> = {
  fields: ({ plan }) => ({
    years: "lease/payments",
    payments: "lease/payments",
    // It has the rate that it is reckoned by.
    rate: plan.reckoning === "moneyFactor" ? "lease/moneyFactor" : "lease/yearlyRate",
    ...(plan.reckoning === "moneyFactor" && { factor: "lease/moneyFactor" }),
    allowance: "allowance",
    owed: "owed",
    down: "down",
    residual: "lease/residual",
    signed: "lease/signed",
    listPrice: "lease/listPrice",
    price: "price",
  }),
  rateTyped: ({ plan }, percent) => (plan.reckoning === "moneyFactor" ? `${percent} %` : percent),
  finds: {
    payment: "payment",
    price: "price",
    down: "down",
    allowance: "allowance",
    rate: "yearlyRate",
    payments: "payments",
    residual: "residual",
  },
  knowns: { payment: "payment", totalCost: "totalIfReturned", dueAtSigning: "dueAtSigning" },
  knownField: () => "lease/known",
  foundName: find => LEASE_NAMES[find as keyof typeof LEASE_NAMES],
  foundFields: [
    "price",
    "down",
    "allowance",
    "lease/residual",
    "lease/moneyFactor",
    "lease/yearlyRate",
    "lease/payments",
  ],
  findCommands: [
    ["payment", "payment"],
    ["price", "agreed price"],
    ["down", "cash down"],
    ["allowance", "trade-in allowance"],
    ["residual", "residual"],
    ["moneyFactor", "money factor or rate"],
    ["payments", "term"],
  ],
  interest: { name: "Rent, how it comes about", button: /^Working of the rent in all/ },
  payoff: { name: "Payoff: what ending early costs", says: "Opens ending early.", button: /^Ending early/ },
  turn: { name: "Make it a loan", to: "loan" },
};
