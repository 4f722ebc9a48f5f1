import { PERCENT_OF_FACTOR } from "../../interest";
import type { Quote } from "../../kinds";
import { boughtOf } from "./reserve";

const PLACES = 6;

/** The rate that the customer signs, as typed or found: percent a year, or a money factor where a lease is reckoned by one. */
export const contractRate = (quote: Quote): string => boughtOf(quote).contractRate;

/**
 * The points of rate between what the customer signs and what the lender buys at; of a money factor its points × 2,400.
 *
 * @param quote an answered deal
 * @param buyRate percent a year, or a money factor, as typed
 * @example spreadOf(campervan, "5.25") // 1.24
 */
export function spreadOf(quote: Quote, buyRate: string): number {
  const { plan } = quote.filled;
  const scale = plan.kind === "lease" && plan.reckoning === "moneyFactor" ? PERCENT_OF_FACTOR : 1;
  return Number(((Number(contractRate(quote)) - Number(buyRate)) * scale).toFixed(PLACES));
}
