import { FLOAT, PRECISE } from "../../annuity";
import type { PeriodRate } from "../../interest";
import {
  basePayment,
  implicitRate,
  type LeaseQuote,
  type LeaseTerms,
  leaseTerms,
} from "../../kinds/lease/pricing";
import { roundWhenSure } from "../../money";
import { failure, type Result, success } from "../../result";
import type { Bought } from "./bought";

/**
 * A lease beside the same one at the money factor or the rate that its lender buys it at. By money factor the payments are
 * discounted at the implicit rate of the lease at the buy factor, so that equal factors earn nothing.
 *
 * @param quote an answered lease
 * @example boughtLease(vanLeaseQuote).worth("0.00195").value // 4058777
 */
export function boughtLease(quote: LeaseQuote): Bought {
  const { cost, residual, basePayment: paid, filled, rentCharge, depreciation, schedule } = quote;
  const { plan } = filled;
  const byFactor = plan.reckoning === "moneyFactor";
  const at = (buyRate: string) => {
    const terms = leaseTerms({ ...plan, [byFactor ? "moneyFactor" : "yearlyRate"]: buyRate });
    return { terms, payment: basePayment(terms, cost, residual) };
  };
  return {
    amount: cost,
    contractRate: (byFactor ? plan.moneyFactor : plan.yearlyRate) ?? "0",
    interest: rentCharge,
    worth: buyRate => {
      const { terms, payment } = at(buyRate);
      // By level yield the buy rate is the rate; by factor it is that of the lease with its own payment.
      const implicit = () =>
        payment === undefined ? undefined : implicitRate(terms, cost, payment, residual);
      const rate = "rate" in terms.by ? terms.by.rate : implicit();
      return rate ? success(worthOfPayments(terms, paid, residual, rate)) : noRate(buyRate);
    },
    atBuyRate: buyRate => {
      const { terms, payment } = at(buyRate);
      if (payment === undefined) return noRate(buyRate);
      return success({ payment, interest: (terms.isAtOnce ? 1 : terms.payments) * payment - depreciation });
    },
    interestAfter: payment => {
      let left = 0;
      for (const { number, kind, rent } of schedule) if (number > payment || kind === "closing") left += rent;
      return left;
    },
  };
}

const noRate = (buyRate: string): Result<never> =>
  failure("buyRate", `At a buy rate of ${buyRate} this lease has no payment; type another one.`);

const RELATIVE_ERROR = 4e-12;

/** What the payments and the residual are worth at a rate of a period, rounded half up once. */
function worthOfPayments(
  { isAtOnce, atSigning, later, residualAt }: LeaseTerms,
  payment: number,
  residual: number,
  rate: PeriodRate,
): number {
  const first = isAtOnce ? 1 : atSigning;
  const worth = payment * (first + FLOAT.annuity(rate, later)) + residual * FLOAT.discount(rate, residualAt);
  return roundWhenSure(worth, worth * RELATIVE_ERROR, "nearest", () => {
    const payments = PRECISE.whole(first) + PRECISE.annuity(rate, later);
    return BigInt(payment) * payments + BigInt(residual) * PRECISE.discount(rate, residualAt);
  });
}
