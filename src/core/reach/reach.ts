import { pricedBy } from "../after";
import type { Deal } from "../kinds/loan/deal";
import { answer } from "../kinds/loan/find";
import { factorText, figureOf, isLease, type Mapped, RATE_UNITS } from "../map";
import { evaluateLease } from "../kinds/lease";

/** How long and at what rate: percent a year, as typed. */
export type ReachTerm = { payments: number; yearlyRate: string };

/** What a budget reaches over one term, in minor units; or why it reaches nothing. */
export type Reached = ReachTerm &
  (
    | {
        isReached: true;
        /** The most that can be financed: of a lease its adjusted capitalized cost. */
        financed: number;
        /** The price that it buys with the deal's own structure, its taxes and fees solved. */
        price: number;
        /** Of a lease its rent charge. */
        financeCharge: number;
      }
    | { isReached: false; sentence: string }
  );

/**
 * What a customer reaches with so much each time, term by term: the highest price whose payment is no more.
 *
 * @param deal a loan or a lease; its price, term, rate and payment do not matter
 * @param budget each payment, in minor units
 * @param terms numbers of payments with their rates
 * @returns one for each term, in order
 * @example reach(deal, 60_000, [{ payments: 72, yearlyRate: "6.49" }])[0].price // 3685359
 */
export function reach(deal: Mapped, budget: number, terms: readonly ReachTerm[]): Reached[] {
  return terms.map(term => ({ ...term, ...reachedOver(overTerm(deal, term), budget) }));
}

/** The figures of {@link Reached} over one term. */
type Figures =
  | { isReached: true; financed: number; price: number; financeCharge: number }
  | { isReached: false; sentence: string };

function reachedOver(deal: Mapped, budget: number): Figures {
  if (isLease(deal)) {
    const quote = evaluateLease(pricedBy(deal, budget));
    if (!quote.ok) return { isReached: false, sentence: quote.failure.sentence };
    const { cost, price, rentCharge } = quote.value;
    return { isReached: true, financed: cost, price, financeCharge: rentCharge };
  }
  const found = answer(pricedBy(deal as Deal, budget));
  if (!found.ok) return { isReached: false, sentence: found.failure.sentence };
  const { structure, amountFinanced, financeCharge } = found.value.priced;
  return { isReached: true, financed: amountFinanced, price: structure.price ?? 0, financeCharge };
}

/**
 * A deal over another term, at the rate that goes with it.
 *
 * @example overTerm(deal, { payments: 60, yearlyRate: "6.19" }).plan.payments // 60
 */
export function overTerm(deal: Mapped, { payments, yearlyRate }: ReachTerm): Mapped {
  if (isLease(deal) && deal.plan.reckoning === "moneyFactor") {
    const moneyFactor = factorText(Number(yearlyRate) * RATE_UNITS);
    return { ...deal, plan: { ...deal.plan, payments, moneyFactor } };
  }
  return { ...deal, plan: { ...deal.plan, payments, yearlyRate } } as Mapped;
}

/**
 * The payment of a deal over a term at another price.
 *
 * @param price minor units
 * @returns minor units; null where the deal has no answer there
 * @example paymentAt(deal, { payments: 72, yearlyRate: "6.49" }, 4_185_000) // 68397
 */
export function paymentAt(deal: Mapped, term: ReachTerm, price: number): number | null {
  const over = overTerm(deal, term);
  return figureOf({ ...over, structure: { ...over.structure, price } } as Mapped, "payment");
}
