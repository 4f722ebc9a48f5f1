import { askingPrice } from "../kinds/kind";
import type { LoanDeal } from "../kinds/loan/deal";
import { answer } from "../kinds/loan/find";
import { regularPayment } from "../kinds/loan/plan";
import { failure, type Result, success } from "../result";

/** What a budget buys over one term, in minor units. */
export type Affordable = {
  payments: number;
  loanAmount: number;
  amountFinanced: number;
  price: number;
  payment: number;
};

/** Why a budget buys nothing over one term. */
export type Unaffordable = { payments: number; sentence: string };

/**
 * The most that a budget can finance over each of some terms, and the price that it buys with the deal's cash
 * down and trade-in.
 *
 * @param deal a deal; its price, term and payment do not matter
 * @param budget the payment in minor units
 * @param terms numbers of payments
 * @returns for each term the amounts, or a sentence that says why there are none; a failure for a wrong budget
 * @example affordability(deal, 55_000, [72]).value[0].loanAmount // 3272832
 */
export function affordability(
  deal: LoanDeal,
  budget: number,
  terms: readonly number[],
): Result<(Affordable | Unaffordable)[]> {
  if (!(budget > 0)) return failure("budget", "The budget is 0; give a payment above zero.");
  if (terms.length === 0) return failure("payments", "There is no term to look at; give one.");
  return success(
    terms.map(payments => {
      const found = answer(askingPrice({ ...deal, plan: { ...deal.plan, payments } }, budget));
      if (!found.ok) return { payments, sentence: found.failure.sentence };
      const { structure, loanAmount, amountFinanced, loan } = found.value.priced;
      return {
        payments,
        loanAmount,
        amountFinanced,
        price: structure.price ?? 0,
        payment: regularPayment(loan),
      };
    }),
  );
}
