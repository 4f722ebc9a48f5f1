import type { LeaseDeal } from "../kinds/lease";
import type { LoanDeal } from "../kinds/loan";
import type { Structure } from "../structure";
import type { DealToFit } from "./facts";
import { isLeaseDeal } from "./priced";

/** Something of a deal moved: cash down or the price to so much in minor units, another number of payments, extras left out by their places. */
export type Moved =
  | { by: "down"; to: number }
  | { by: "payments"; payments: number }
  | { by: "extras"; left: readonly number[] }
  | { by: "price"; to: number };

/**
 * A deal with something moved, as a loan and as a lease.
 *
 * @example movedDeal(dealToFit, { by: "payments", payments: 60 }).loan.plan.payments // 60
 */
export function movedDeal(deal: DealToFit, moved: Moved): DealToFit {
  switch (moved.by) {
    case "down":
      return withStructure(deal, structure => ({ ...structure, down: { amount: moved.to } }));
    case "price":
      return withStructure(deal, structure => ({ ...structure, price: moved.to }));
    case "extras": {
      const left = new Set(moved.left);
      return withStructure(deal, structure => ({
        ...structure,
        extras: (structure.extras ?? []).filter((_, index) => !left.has(index)),
      }));
    }
    case "payments":
      return withPayments(deal, moved.payments);
  }
}

/** A deal with something of its structure changed, as a loan and as a lease. */
function withStructure(deal: DealToFit, change: (structure: Structure) => Structure): DealToFit {
  const { loan, lease } = deal;
  return {
    ...deal,
    loan: loan && { ...loan, structure: change(loan.structure) },
    lease: lease && { ...lease, structure: change(lease.structure) },
  };
}

/** With another number of payments, which is then its own. */
const withPayments = (deal: DealToFit, payments: number): DealToFit => ({
  ...deal,
  loan: deal.loan && overTerm(deal.loan, payments),
  lease: deal.lease && overTerm(deal.lease, payments),
  turned: null,
});

/** A loan, or a lease, over another number of payments; a lease of which all fall at signing keeps that. */
export function overTerm<Of extends LoanDeal | LeaseDeal>(deal: Of, payments: number): Of {
  const { plan } = deal;
  const inAdvance = isLeaseDeal(deal) && deal.plan.inAdvance === plan.payments ? { inAdvance: payments } : {};
  return { ...deal, plan: { ...plan, payments, ...inAdvance } };
}
