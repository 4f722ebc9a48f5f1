import type { Mapped } from "../kind";
import { summarizeLease } from "./evaluate";
import type { LeaseDeal } from "./pricing";

/** The figures of a lease that a map can show: it has no APR, and its finance charge is its rent charge. */
export const LEASE_MAPPED: Mapped<LeaseDeal> = {
  figures: {
    payment: "payment",
    financeCharge: "rent charge",
    totalCost: "total cost, handed back",
    dueAtSigning: "due at signing",
  },
  figureOf(lease, figure) {
    const quote = summarizeLease(lease);
    if (!quote.ok) return null;
    const { payment, rentCharge, totalIfReturned, dueAtSigning } = quote.value;
    switch (figure) {
      case "payment":
        return payment;
      case "financeCharge":
        return rentCharge;
      case "totalCost":
        return totalIfReturned;
      case "dueAtSigning":
        return dueAtSigning.total;
      default:
        return null;
    }
  },
};
