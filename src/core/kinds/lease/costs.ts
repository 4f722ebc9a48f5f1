import type { QuotedFigure } from "../kind";
import type { LeaseSummary } from "./evaluate";
import { includedIfReturned, includedInDepreciation, includedInPayment, includedInRent } from "./includes";
import type { LeaseQuote } from "./pricing";

export type LeaseFigure = QuotedFigure<LeaseQuote, LeaseSummary>;

/** What a lease really costs, in the order in which it is read. */
export const LEASE_COSTS = {
  payment: {
    name: "Payment",
    unit: "money",
    value: ({ quote }) => quote.payment,
    cost: { includes: includedInPayment },
    compared: { part: "payment", best: "sameTerms", isMain: true },
    mapped: ({ payment }) => payment,
  },
  rentCharge: {
    name: "Rent charge",
    unit: "money",
    value: ({ quote }) => quote.rentCharge,
    cost: { name: "Rent in all", includes: includedInRent },
    compared: { part: "charges" },
  },
  depreciation: {
    name: "Depreciation",
    unit: "money",
    value: ({ quote }) => quote.depreciation,
    cost: { name: "Lost value", includes: includedInDepreciation },
  },
  totalIfReturned: {
    name: "Total cost, handed back",
    unit: "money",
    value: ({ quote }) => quote.totalIfReturned,
    cost: { name: "Total if handed back", includes: includedIfReturned },
    compared: { part: "totals" },
  },
} satisfies Record<string, LeaseFigure & Required<Pick<LeaseFigure, "cost">>>;
