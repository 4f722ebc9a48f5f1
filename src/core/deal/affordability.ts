import { failure, type Result, success } from "../result";
import type { Deal } from "./deal";
import { answer } from "./find";
import { lend } from "./lend";
import { readTerms } from "./terms";

/** What a budget buys over one term, in minor units. */
export type Affordable = { payments: number; amountFinanced: number; price: number; payment: number };

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
 * @example affordability(deal, 55_000, [48, 60, 72])
 */
export function affordability(
  deal: Deal,
  budget: number,
  terms: readonly number[],
): Result<(Affordable | Unaffordable)[]> {
  if (!(budget > 0)) return failure("budget", "The budget is 0; give a payment above zero.");
  if (terms.length === 0) return failure("payments", "There is no term to look at; give one.");
  const { from: _from, ...given } = deal;
  return success(
    terms.map(payments => {
      const found = answer({
        ...given,
        structure: { ...deal.structure, price: null, down: deal.structure.down ?? { amount: 0 } },
        plan: { ...deal.plan, payments, payment: budget },
        find: "price",
      });
      if (!found.ok) return { payments, sentence: found.failure.sentence };
      const { price, amountFinanced, loan } = found.value.priced;
      return { payments, amountFinanced, price, payment: loan.payment };
    }),
  );
}

/** The payment for each 1,000 financed at one rate over one term. */
export type PerThousand = {
  yearlyRate: string;
  payments: number;
  /** Rounded by the plan's rule, in minor units. */
  payment: number;
  /** In minor units, not rounded. */
  unrounded: number;
};

const THOUSAND = 1000;

/**
 * The payment for each 1,000 of the currency financed, rate by rate and term by term.
 *
 * @param deal its currency and plan count; rate and term are replaced
 * @param rates percents a year as typed
 * @param terms numbers of payments
 * @example paymentPerThousand(deal, ["6"], [60]) // unrounded 1933.28… cents
 */
export function paymentPerThousand(
  deal: Deal,
  rates: readonly string[],
  terms: readonly number[],
): Result<PerThousand[]> {
  const rows: PerThousand[] = [];
  for (const yearlyRate of rates) {
    for (const payments of terms) {
      const plan = { ...deal.plan, yearlyRate, payments };
      const read = readTerms({ ...deal, plan });
      if (!read.ok) return read;
      const price = THOUSAND * 10 ** read.value.decimals;
      const structure = { price, tradeIn: { allowance: 0, owed: 0 }, down: { amount: 0 } };
      const lent = lend({ ...deal, plan, structure }, read.value);
      if (!lent.ok) return lent;
      const { loan } = lent.value;
      const unrounded = read.value.solver.unrounded(loan.amount, loan.balloon);
      rows.push({ yearlyRate, payments, payment: loan.payment, unrounded });
    }
  }
  return success(rows);
}
