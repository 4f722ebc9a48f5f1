/** How long and at what rate: percent a year, as typed. */
export type ReachTerm = { payments: number; yearlyRate: string };

/** What a payment buys with a deal's own structure, in minor units; or why it buys nothing. */
export type Bought =
  | {
      isReached: true;
      /** The most that can be financed: of a lease its adjusted capitalized cost. */
      financed: number;
      /** The price that it buys with the deal's own structure, its taxes and fees solved. */
      price: number;
      /** Of a lease its rent charge. */
      financeCharge: number;
    }
  | { isReached: false; sentence: string };
