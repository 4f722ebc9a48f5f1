/** A figure of a deal that can be found by trying whole numbers for it. */
export type Finder<Deal> = {
  /** What it is called in a sentence. */
  name: string;
  /** Where it can lie: whole minor units, payments, or places of a percent or a factor. */
  range(deal: Deal, decimals: number): { low: number; high: number };
  /** The deal with the figure filled in. */
  fill(deal: Deal, whole: number): Deal;
};

/** What is tried of a rate or a factor: so many places of it. */
export const RATE_PLACES = 8;

/** A number with so many places from a whole one. Example: `placesText(649, 2)` is "6.49". */
export function placesText(whole: number, places: number): string {
  const digits = String(whole).padStart(places + 1, "0");
  const cut = digits.length - places;
  return `${digits.slice(0, cut)}.${digits.slice(cut)}`.replace(/\.?0+$/, "");
}
