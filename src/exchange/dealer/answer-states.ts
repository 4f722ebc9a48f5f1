/** How an application stands with a lender. */
export const LENDER_STATES = ["sent", "approved", "countered", "declined", "withdrawn", "funded"] as const;

/** Why a rate is below what every customer is offered. */
export const SPREAD_REASONS = ["competingOffer", "budget", "limit", "campaign", "stock", "other"] as const;
