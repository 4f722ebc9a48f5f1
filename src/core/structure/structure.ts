/** Cash down: an amount in minor units, or a percent of the price as typed. */
export type CashDown = { amount: number } | { percent: string };

/** What is owed on the trade-in and what the dealer allows for it, in minor units. */
export type TradeIn = { allowance: number; owed: number };

/** What leads from the price to the loan amount, in minor units; null is missing, or being found. */
export type Structure = { price: number | null; tradeIn: TradeIn; down: CashDown | null };
