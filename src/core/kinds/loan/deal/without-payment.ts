import type { Deal } from "./deal";

/** A deal without the payment that it gives, so that it is solved for the one that its loan takes. */
export function withoutPayment(deal: Deal): Deal {
  return deal.plan.payment === null ? deal : { ...deal, plan: { ...deal.plan, payment: null } };
}
