/** What a deal is for: credit for business has no papers of the kind that consumers are given. */
export const DEAL_USES = ["personal", "business"] as const;

export type DealUse = (typeof DEAL_USES)[number];
