import { PAID_WORDS, PERCENT_OF_WORDS, paidBy } from "@/exchange/structure";
import { chargeBy, type LineOf } from "../fields";

/**
 * What a fee or an extra is, in a few words.
 *
 * @param amount what it comes to, where it is a percent
 */
export function chargeWords(charge: LineOf<"fees"> | LineOf<"extras">, amount?: string): string {
  const by = chargeBy(charge);
  return [
    by === "amount" ? "" : [PERCENT_OF_WORDS[by], amount].filter(Boolean).join(": "),
    charge.taxable ? "taxed" : "",
    PAID_WORDS[paidBy(charge)],
    charge.financeCharge ? "counts as finance charge" : "",
  ]
    .filter(Boolean)
    .join(" · ");
}
