/** What stands beside the structure, or in its place. */
export const VIEWS = {
  repayment: "Repayment",
  lineUp: "Line-up",
  map: "Map",
  reach: "Reach",
  history: "History",
} as const;

export type View = keyof typeof VIEWS;
