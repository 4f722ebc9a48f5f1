import { chargesOf, sumOfCharges } from "./charges";
import type { Reckoned } from "./reckon";
import type { Structure } from "./structure";

/**
 * What a personal loan pays out to the customer: the loan amount less what of it goes to others (fees and extras that
 * were added, debts paid off) and what is kept back.
 *
 * @param structure of a personal loan
 * @param reckoned what its lines come to
 * @returns minor units, below zero where more goes to others than there is
 * @example
 * const structure = { price: 1000000, personal: { purpose: "A piano", payoffs: [{ name: "Card", amount: 240000 }] }, tradeIns: [], down: null };
 * cashReceived(structure, settle(structure)) // 760000
 */
export function cashReceived(structure: Structure, reckoned: Reckoned): number {
  const kept = sumOfCharges(structure, reckoned, ({ paid }) => paid === "financed" || paid === "keptBack");
  let payoffs = 0;
  for (const { amount } of structure.personal?.payoffs ?? []) payoffs += amount;
  return reckoned.loanAmount - kept - payoffs;
}

/**
 * What of a structure is a cost of the credit and paid at the start, whether financed, kept back or paid at signing, in
 * minor units: it is no part of the amount financed (12 CFR 1026.18(b)).
 */
export function prepaidCharges(structure: Structure, reckoned: Reckoned): number {
  if (chargesOf(structure).length === 0) return 0;
  return sumOfCharges(
    structure,
    reckoned,
    ({ isFinanceCharge, paid }) =>
      isFinanceCharge && (paid === "financed" || paid === "atSigning" || paid === "keptBack"),
  );
}
