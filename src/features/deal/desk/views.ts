/** What stands beside the structure, or in its place. */
export const VIEWS = {
  repayment: "Repayment",
  lineUp: "Line-up",
  map: "Map",
  reach: "Reach",
  history: "History",
} as const;

/** What stands in the bar; the dealer's side does not, for the customer sees the bar. */
export type ShownView = keyof typeof VIEWS;
export type View = ShownView | "dealer";
