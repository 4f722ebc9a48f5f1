import { type Deal, kindOf } from "../kinds";
import { askingPrice, type Bought, type ReachTerm } from "../kinds/kind";
import { figureOf } from "../map";

/** What a budget reaches over one term, in minor units; or why it reaches nothing. */
export type Reached = ReachTerm & Bought;

/**
 * What a customer reaches with so much each time, term by term: the highest price whose payment is no more.
 *
 * @param deal a loan or a lease; its price, term, rate and payment do not matter
 * @param budget each payment, in minor units
 * @param terms numbers of payments with their rates
 * @returns one for each term, in order
 * @example reach(deal, 60_000, [{ payments: 72, yearlyRate: "6.49" }])[0].price // 3685359
 */
export function reach(deal: Deal, budget: number, terms: readonly ReachTerm[]): Reached[] {
  return terms.map(term => ({ ...term, ...kindOf(deal).bought(askingPrice(overTerm(deal, term), budget)) }));
}

/**
 * A deal over another term, at the rate that goes with it.
 *
 * @example overTerm(deal, { payments: 60, yearlyRate: "6.19" }).plan.payments // 60
 */
export const overTerm = (deal: Deal, term: ReachTerm): Deal => kindOf(deal).overTerm(deal, term);

/**
 * The payment of a deal over a term at another price.
 *
 * @param price minor units
 * @returns minor units; null where the deal has no answer there
 * @example paymentAt(deal, { payments: 72, yearlyRate: "6.49" }, 4_185_000) // 68397
 */
export function paymentAt(deal: Deal, term: ReachTerm, price: number): number | null {
  const over = overTerm(deal, term);
  return figureOf({ ...over, structure: { ...over.structure, price } } as Deal, "payment");
}
