import { currencyDecimals } from "../../../money";
import { type Result, success } from "../../../result";
import { totalWithPayments } from "../../../structure";
import { capitalize } from "./capitalize";
import type { Capitalized } from "./capitalized";
import { dueBesidesCash, paidAtSigning } from "./due";
import type { LeaseDeal } from "./lease";
import { capitalizedProblem, leaseProblem } from "./problems";
import { type LeaseTerms, leaseTerms } from "./terms";

/** A lease's figures before its table; money in minor units. */
export type PricedLease = {
  terms: LeaseTerms;
  found: Capitalized;
  /** A payment before tax. */
  base: number;
  /**
   * All payments with tax, what is paid at signing beside them but for the refundable deposit, a deposit paid before; less
   * what of them is capitalized.
   */
  spent: (lease: LeaseDeal) => number;
};

/**
 * Prices a lease of which everything but the payment is given.
 *
 * @param lease nothing of it is missing
 * @returns what it comes to, or why it cannot be
 */
export function priceLease(lease: LeaseDeal): Result<PricedLease> {
  const problem = leaseProblem(lease);
  if (problem) return { ok: false, failure: problem };
  const terms = leaseTerms(lease.plan);
  const found = capitalize(lease, terms);
  const wrong = capitalizedProblem(lease, found, currencyDecimals(lease.currency) ?? 2);
  if (wrong) return wrong;
  const base = found.base ?? 0;
  return success({ terms, found, base, spent: of => spentOn(of, terms, found, base) });
}

function spentOn(lease: LeaseDeal, terms: LeaseTerms, found: Capitalized, base: number): number {
  const rows = terms.isAtOnce ? 1 : terms.payments;
  const paid = rows * (base + found.tax) + totalWithPayments(found.withPayments, rows);
  const besides = dueBesidesCash(lease, terms, found) - paidAtSigning(terms, found) - found.securityDeposit;
  return paid + besides + found.cash + found.deposit;
}
