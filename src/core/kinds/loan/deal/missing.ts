import { type Failure, missing, type Wanted } from "../../../result";
import type { LoanDeal } from "./deal";
import { knownFigure } from "./known";

/**
 * What was not given yet, in one sentence, so that a deal can be typed in any order.
 *
 * @returns the first missing figure with a sentence that names them all, or undefined
 * @example missingFigures({ ...deal, structure: { ...structure, price: null }, plan: { ...deal.plan, yearlyRate: null } })?.sentence // "The price and the yearly rate are missing."
 */
export function missingFigures(deal: LoanDeal): Failure | undefined {
  const { structure, plan, find } = deal;
  const isWhole = structure.price !== null && structure.down !== null && plan.yearlyRate !== null;
  if (isWhole && plan.payments !== null && find === "payment" && !deal.from) return undefined;
  const downFound = find === "down" || find === "downPercent";
  const wanted: Wanted[] = [
    ["price", "the price", structure.price === null && find !== "price"],
    ["down", "the cash down", structure.down === null && !downFound],
    ["yearlyRate", "the yearly rate", plan.yearlyRate === null && find !== "yearlyRate"],
    ["payments", "the number of payments", plan.payments === null && !termFollows(deal)],
    ["payment", "the payment", plan.payment === null && knownFigure(deal) === "payment"],
  ];
  return missing(wanted);
}

/** Whether the number of payments follows from something else. */
function termFollows({ plan, find, from }: LoanDeal): boolean {
  if (plan.datedPayments || find === "payments") return true;
  if (from === undefined) return false;
  return from.figure === "endDate" ? find !== "extra" && find !== "lump" : find === "payment";
}
