/**
 * The lists of whose lines the dealer's side can know an amount (what one cost, is worth, or is the dealer's own of it), each
 * with what the id of a line by its place begins with.
 */
export const COSTED = { fees: "fee", extras: "extra", tradeIns: "trade-in", rebates: "rebate" } as const;

export type CostedList = keyof typeof COSTED;
