import { type Deal, lend } from "../deal";
import { readTerms, regularPayment, solvable, unroundedPayment } from "../plans/loan";
import { type Result, success } from "../result";

/** The payment for each 1,000 financed at one rate over one term. */
export type PerThousand = {
  yearlyRate: string;
  payments: number;
  /** The first regular payment, rounded by the plan's rule, in minor units. */
  payment: number;
  /** The same, in minor units, not rounded. */
  unrounded: number;
};

const THOUSAND = 1000;

/**
 * The payment for each 1,000 of the currency financed, rate by rate and term by term.
 *
 * @param deal its currency and plan count; rate and term are replaced
 * @param rates percents a year as typed
 * @param terms numbers of payments
 * @returns a row for each, or a failure where the plan cannot be, or has no payment to find
 * @example paymentPerThousand(deal, ["6"], [60]).value[0].unrounded // 1933.28…
 */
export function paymentPerThousand(
  deal: Deal,
  rates: readonly string[],
  terms: readonly number[],
): Result<PerThousand[]> {
  const rows: PerThousand[] = [];
  for (const yearlyRate of rates) {
    for (const payments of terms) {
      const row = rowOf(deal, yearlyRate, payments);
      if (!row.ok) return row;
      rows.push(row.value);
    }
  }
  return success(rows);
}

function rowOf(deal: Deal, yearlyRate: string, payments: number): Result<PerThousand> {
  const plan = { ...deal.plan, yearlyRate, payments, payment: null };
  const read = readTerms({ ...deal, plan });
  if (!read.ok) return read;
  const terms = solvable(read.value);
  if (!terms.ok) return terms;
  const price = THOUSAND * 10 ** terms.value.decimals;
  const structure = { price, tradeIn: { allowance: 0, owed: 0 }, down: null };
  const lent = lend({ ...deal, plan, structure }, terms.value);
  if (!lent.ok) return lent;
  const { loan } = lent.value;
  const unrounded = unroundedPayment(loan, terms.value);
  return success({ yearlyRate, payments, payment: regularPayment(loan), unrounded });
}
