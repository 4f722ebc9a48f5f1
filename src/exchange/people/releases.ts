/** What a manager has to say yes to, with a reason. */
export const RELEASE_KINDS = ["reopen", "spread", "limit"] as const;

export type ReleaseKind = (typeof RELEASE_KINDS)[number];

export const LONGEST_REASON = 300;
