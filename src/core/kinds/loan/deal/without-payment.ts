import type { LoanDeal } from "./deal";

/** A deal without the payment that it gives, so that it is solved for the one that its loan takes. */
export function withoutPayment(deal: LoanDeal): LoanDeal {
  return deal.plan.payment === null ? deal : { ...deal, plan: { ...deal.plan, payment: null } };
}
