import type { ExtraFile, FeeFile } from "./structure.schema";

/** When a fee or an extra of a file is paid. */
export type PaidBy = "financed" | "atSigning" | "keptBack" | "firstPayment" | "lastPayment" | "eachPayment";

/** When a fee or an extra is paid; financed where nothing else is said. */
export function paidBy(charge: FeeFile | ExtraFile): PaidBy {
  if (charge.with !== undefined) return charge.with;
  if ("keptBack" in charge && charge.keptBack) return "keptBack";
  return charge.financed === false ? "atSigning" : "financed";
}

/** The same as a phrase. */
export const PAID_WORDS: Record<PaidBy, string> = {
  financed: "financed",
  atSigning: "paid at signing",
  keptBack: "kept back",
  firstPayment: "with the first payment",
  lastPayment: "with the last payment",
  eachPayment: "with each payment",
};

/** What a fee or an extra is a percent of, as a phrase. */
export const PERCENT_OF_WORDS = {
  price: "of the price",
  loanAmount: "of the loan",
  totalOfPayments: "of all payments",
};
