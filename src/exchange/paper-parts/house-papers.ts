/** Lines of cost papers that the house settles, in the order in which they are settled, and what each is about. */
export const STANDING_LINES = {
  latePayment: "Late payment",
  security: "Security interest",
  demand: "Demand feature",
  securityCharges: "Charges for the security interest",
  deposit: "Required deposit",
  prepayment: "Prepayment, beyond the plan’s own charge",
  contract: "Reference to the contract",
  earlyTermination: "Lease: early termination",
  wear: "Lease: wear and use",
  buyBefore: "Lease: option to buy before the end",
} as const;

export type StandingLine = keyof typeof STANDING_LINES;

/** Consumer law has papers kept for two years and more: never less than this. */
export const FEWEST_MONTHS_KEPT = 25;

/** A logo's file, in bytes. */
export const LARGEST_LOGO = 300_000;
