/** The lists whose lines can have cost the dealer something, each with what the id of a line by its place begins with. */
export const COSTED = { fees: "fee", extras: "extra", tradeIns: "trade-in" } as const;

export type CostedList = keyof typeof COSTED;
