import { groupedAmount } from "../money";

/** One step of how a figure came about: data, for any screen, page or printout to lay out. */
export type WorkingStep = {
  /** What the step computes. */
  name: string;
  /** The formula in words. */
  formula: string;
  /** The formula with the numbers filled in. */
  filled: string;
  /** The result, rounded as stated. */
  result: string;
  /** How the result was rounded, where it was. */
  rounding?: string;
  /** What the figure includes, or why it is so. */
  remark?: string;
  /** Where the formula or the convention comes from, where it is a published one. */
  source?: string;
  /** The steps that this one builds on. */
  parts: WorkingStep[];
};

/** A figure that was typed. */
export function asGiven(name: string, text: string): WorkingStep {
  return { name, formula: "as given", filled: text, result: text, parts: [] };
}

/** "1 month", "2 months". */
export function counted(count: number, unit: string): string {
  return `${count} ${unit}${count === 1 ? "" : "s"}`;
}

/** Writes the amounts of a quote for people, in its currency's decimals. */
export function moneyWriter({ decimals }: { decimals: number }): (minor: number) => string {
  return minor => groupedAmount(minor, decimals);
}
