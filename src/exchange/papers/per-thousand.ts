import { paymentPerThousand } from "@/core";
import { amountIn, inNotation } from "../notation";
import type { Paper } from "../paper-parts/paper";
import { type About, type AnsweredOption, paperOf } from "./about";
import type { Made } from "./made";
import type { PaperDetails } from "./paper-details";

/**
 * The payment for each 1,000 financed, rate by rate and term by term: for the desk, because a list for the public that states
 * payments needs more beside it (12 CFR 1026.24).
 *
 * @param option whose plan counts
 * @param about whose paper it is
 * @param details rates and terms; the option's own where they were not said
 */
export function perThousand(
  { quote }: AnsweredOption,
  about: About,
  { rates, terms }: PaperDetails,
): Made<{ paper: Paper }> {
  if (quote.kind === "lease")
    return { ok: false, sentence: "The payment per 1,000 is of a loan; a lease’s hangs on its residual." };
  const { notation } = about;
  const ofRates = rates ?? [quote.yearlyRate];
  const ofTerms = terms ?? [quote.plannedPayments];
  const cells = paymentPerThousand(quote.filled, ofRates, ofTerms);
  const text = (index: number) => {
    const cell = cells[index];
    return cell && "payment" in cell ? amountIn(cell.payment, quote.deal.currency, notation) : "–";
  };
  const paper = paperOf("Payment for each 1,000 financed", { ...about, customer: "", vehicle: "" }, [
    {
      kind: "paragraph",
      size: "large",
      spans: [{ strong: "For the desk." }, ` Payments in ${quote.deal.currency}; no offer to anybody.`],
    },
    {
      kind: "table",
      name: "Payment for each 1,000",
      headings: ["Yearly rate", ...ofTerms.map(count => `${count} payments`)],
      words: 1,
      rows: ofRates.map((rate, row) => ({
        kind: "line",
        cells: [
          `${inNotation(rate, notation)} %`,
          ...ofTerms.map((_, column) => text(row * ofTerms.length + column)),
        ],
      })),
    },
  ]);
  return { ok: true, paper: { ...paper, foot: "For the desk. Not for customers." } };
}
