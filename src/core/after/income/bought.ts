import type { Result } from "../../result";

/**
 * A loan or a lease beside the same one at the rate that a lender buys it at: percent a year, or a money factor where a lease
 * is reckoned by one, as typed. Money in minor units.
 */
export type Bought = {
  /** The loan amount, or the adjusted capitalized cost. */
  amount: number;
  /** The rate that the customer signs, as typed or found. */
  contractRate: string;
  /** All interest, or the rent charge. */
  interest: number;
  /** What the customer's payments repay at the buy rate. */
  worth: (buyRate: string) => Result<number>;
  /** The same at the buy rate, with its own payment and table. */
  atBuyRate: (buyRate: string) => Result<{ payment: number; interest: number }>;
  /** What of the interest is still to come by the table after a payment. */
  interestAfter: (payment: number) => number;
};
