import type { ExtraFile } from "./extra.schema";

type Each = NonNullable<ExtraFile["each"]>;

/** Extra money with payments by its parts: an amount alone comes with every payment. */
export const eachOf = (each: Each): Exclude<Each, string | number> =>
  typeof each === "object" ? each : { amount: each };

/** The same with another amount. */
export const withEachAmount = (each: ExtraFile["each"], amount: string | number): Each =>
  typeof each === "object" ? { ...each, amount } : amount;

/** The same with its amount to be found; undefined where it comes with every payment. */
export function withoutEachAmount(each: ExtraFile["each"]): Each | undefined {
  if (typeof each !== "object") return undefined;
  const { amount: _, ...open } = each;
  return open;
}
