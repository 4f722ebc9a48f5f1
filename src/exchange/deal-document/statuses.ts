export const DEAL_STATUSES = ["quoting", "agreed", "signed", "lost"] as const;
export type DealStatus = (typeof DEAL_STATUSES)[number];
