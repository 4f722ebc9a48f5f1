import { type LoanDeal, lend } from "../kinds/loan/deal";
import {
  type Loan,
  type LoanPlan,
  readTerms,
  regularPayment,
  solvable,
  type Terms,
  unroundedPayment,
} from "../kinds/loan/plan";
import { roundFraction } from "../money";
import type { Result } from "../result";
import type { Structure } from "../structure";

/** The payment for each 1,000 lent at one rate over one term. */
export type PerThousand = {
  yearlyRate: string;
  payments: number;
  /** The first regular payment, rounded by the plan's rule, in minor units. */
  payment: number;
  /** The same, in minor units, not rounded. */
  unrounded: number;
};

/** Why there is no payment at one rate over one term. */
type NonePerThousand = { yearlyRate: string; payments: number; sentence: string };

const THOUSAND = 1000;

/**
 * The payment for each 1,000 of the loan amount, rate by rate and term by term.
 *
 * Where amounts are agreed, such as a balloon, it is the payment of the deal's own loan, shared out over its thousands;
 * else the payment of a loan of 1,000. Extras and a charge at signing do not count.
 *
 * @param deal filled in; its plan counts with other rates and terms, and what it lends
 * @param rates percents a year as typed
 * @param terms numbers of payments
 * @returns a row for each, or a sentence where there is no such loan, or no payment to find in it
 * @example paymentPerThousand(plainDeal, ["6"], [60])[0].unrounded // 1933.28…
 */
export function paymentPerThousand(
  deal: LoanDeal,
  rates: readonly string[],
  terms: readonly number[],
): (PerThousand | NonePerThousand)[] {
  return rates.flatMap(yearlyRate =>
    terms.map(payments => {
      const solved = solvedLoan(deal, yearlyRate, payments);
      return solved.ok
        ? { yearlyRate, payments, ...solved.value }
        : { yearlyRate, payments, sentence: solved.failure.sentence };
    }),
  );
}

type Payment = Pick<PerThousand, "payment" | "unrounded">;

function solvedLoan(deal: LoanDeal, yearlyRate: string, payments: number): Result<Payment> {
  const { extra: _extra, prepaidCharge: _charge, ...shape } = deal.plan;
  const plan = { ...shape, yearlyRate, payments, payment: null };
  const read = readTerms({ ...deal, plan });
  const terms = read.ok ? solvable(read.value) : read;
  if (!terms.ok) return terms;
  const thousand = THOUSAND * 10 ** terms.value.decimals;
  const alone: Structure = { price: thousand, tradeIns: [], down: null };
  const structure = hasAgreedAmounts(plan) ? deal.structure : alone;
  const lent = lend({ ...deal, plan, structure }, terms.value);
  return lent.ok ? { ok: true, value: perThousand(lent.value.loan, terms.value, thousand) } : lent;
}

function hasAgreedAmounts({ balloon, steps = [], datedPayments = [] }: LoanPlan): boolean {
  return (
    Boolean(balloon) ||
    steps.some(step => "amount" in step) ||
    datedPayments.some(({ amount }) => amount !== null)
  );
}

/** Places of the minor unit to which a share of a payment is told from a tie. */
const PLACES = 1e6;

function perThousand(loan: Loan, terms: Terms, thousand: number): Payment {
  const whole = unroundedPayment(loan, terms);
  if (loan.amount === thousand) return { payment: regularPayment(loan), unrounded: whole };
  const unrounded = (whole * thousand) / loan.amount;
  const { rule, step } = loan.rounding;
  const numerator = BigInt(Math.round(unrounded * PLACES));
  const payment = roundFraction({ numerator, denominator: BigInt(PLACES * step) }, rule) * step;
  return { payment, unrounded };
}
