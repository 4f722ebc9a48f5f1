/** What stands beside the structure, or in its place. */
export const VIEWS = {
  desk: "Desk",
  repayment: "Repayment",
  lineUp: "Line-up",
  map: "Map",
  reach: "Reach",
  rates: "Rates",
  howLong: "How long",
  history: "History",
  who: "Customer and vehicle",
  match: "Match a lender’s figures",
} as const;

export type View = keyof typeof VIEWS;

/** A signed deal has nothing that could be moved on a map, nor a lender to be found. */
const OF_OPEN_DEALS: ReadonlySet<View> = new Set(["map", "reach", "rates"]);

/** The views that a deal can be shown in. */
export const viewsOf = (isFrozen: boolean): View[] =>
  (Object.keys(VIEWS) as View[]).filter(view => !isFrozen || !OF_OPEN_DEALS.has(view));

/** So many stand in the bar; the first of them are those that are opened most. */
const MOST_IN_BAR = 7;

/** What is seldom opened waits under "More", also where there is room. */
const SELDOM: ReadonlySet<View> = new Set(["who", "match"]);

/** The views that stand in the bar, and those that wait under "More". */
export function barOf(isFrozen: boolean): { shown: View[]; more: View[] } {
  const all = viewsOf(isFrozen);
  const shown = all.filter(view => !SELDOM.has(view)).slice(0, MOST_IN_BAR);
  return { shown, more: all.filter(view => !shown.includes(view)) };
}
