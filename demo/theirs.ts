// What a lender says of loans of the demo scenario, a few cents from the deal.
import type { StatedFile } from "@/exchange/match/match.schema";

/** Of a customer: the lender rounds the payment up, and each row's interest down. */
export const THEIRS: Record<string, StatedFile> = {
  "Benedikt Saltroe": {
    payment: "295.04",
    lastPayment: "294.82",
    totalOfPayments: "10621.22",
    financeCharge: "1101.22",
  },
};
