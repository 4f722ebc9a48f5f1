/** The deal on the screen as it is saved, for whoever makes a paper of it; no version while it is not. */
export const savedNow: { dealId: string; version: number | undefined } = { dealId: "", version: undefined };
