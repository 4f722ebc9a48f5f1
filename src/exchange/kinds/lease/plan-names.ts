/** What the plan of a lease is called inside a sentence. */
export const LEASE_PLAN_NAMES = { lease: "lease" };
