import type { KnownFigure } from "./deal";

/** Every amount that a figure can be found from beside the payment, as a sentence names it. */
export const KNOWN_AMOUNTS = {
  totalCost: "total cost",
  financeCharge: "finance charge",
  loanAmount: "loan amount",
  amountFinanced: "amount financed",
  dueAtSigning: "sum due at signing",
  cashReceived: "amount received",
} as const satisfies { [Figure in KnownFigure]?: string };

export type KnownAmount = keyof typeof KNOWN_AMOUNTS;
