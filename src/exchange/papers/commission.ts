import { groupedAmount, NO_SIDE, type Quote, reserveOf } from "@/core";
import { readSide } from "../dealer";
import type { About } from "./about";
import type { PaperDetails } from "./paper-details";

/** Where a customer is told that the dealer is paid commission, and how it is reckoned. */
const STANDING: Readonly<Record<string, string>> = {
  GB: "For arranging this agreement the dealer is paid commission by the lender: a flat amount, or a percent of the amount lent. It does not depend on the rate that you are charged.",
};

/**
 * What a proposal says of the dealer's commission, by the deal's place; with its amount where that is asked for.
 *
 * @returns a line, nothing where the place asks for none, or why the amount cannot stand there
 */
export function commissionLine(
  quote: Quote,
  { place }: Pick<About, "place">,
  commission: PaperDetails["commission"],
): string | undefined | { ok: false; sentence: string } {
  const standing = place && STANDING[place];
  if (commission === undefined) return standing;
  if (!standing)
    return {
      ok: false,
      sentence: "The amount of a commission stands on papers in the United Kingdom alone.",
    };
  if (commission === null) return { ok: false, sentence: "No commission is agreed for this option." };
  const side = readSide({ currency: quote.filled.currency, structure: {} }, { reserve: commission });
  const reserve = reserveOf(quote, side.ok ? side.value : NO_SIDE, place);
  if (!reserve.ok) return { ok: false, sentence: reserve.failure.sentence };
  return `${standing} It is ${groupedAmount(reserve.value?.amount ?? 0, quote.decimals)} ${quote.filled.currency}.`;
}
