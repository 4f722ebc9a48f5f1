import { type LeaseDeal, type LeaseQuote, leaseTally } from "@/core";
import type { DeskTally } from "../../option/desk-kind";

/** The tally of an answered lease down to its adjusted capitalized cost, as the structure shows it. */
export function tallyOfLease(quote: LeaseQuote): DeskTally {
  return { ...shown(quote.lines, quote), due: quote.dueAtSigning.total };
}

/** The same before there is an answer, where no line hangs on one. */
export function tallyOfLeaseDraft(lease: LeaseDeal): DeskTally | undefined {
  const tally = leaseTally(lease);
  return tally && { ...shown(tally.lines, tally.found), due: undefined };
}

type Found = Pick<LeaseQuote, "price" | "fees" | "extras" | "taxes" | "cost">;

function shown(lines: DeskTally["lines"], { price, fees, extras, taxes, cost }: Found) {
  const reckoned = { price, fees, extras, taxes, total: totalOf(lines) };
  return { lines, reckoned, loanAmount: cost, amountFinanced: cost };
}

/** The price with what is capitalized beside it. */
function totalOf(lines: DeskTally["lines"]): number {
  let total = 0;
  for (const { figure, sign, amount } of lines)
    if (sign > 0 && figure !== "down" && figure !== "equity") total += amount;
  return total;
}
