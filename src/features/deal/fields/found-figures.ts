import type { FoundFigure, WorkedFigure } from "@/core";
import { FOUND_NAMES } from "@/exchange/kinds/loan/found";

/** The figure being found, as the screen names it. */
export const NAMES_OF_FOUND: Record<FoundFigure, string> = {
  ...FOUND_NAMES,
  downPercent: "percent down",
  extra: "extra payment",
};

/** The working of a found figure, where it is another one's. */
const WORKED: { [Figure in FoundFigure]?: WorkedFigure } = {
  downPercent: "down",
  extra: "savedInterest",
  lump: "savedInterest",
};

/** The figure whose working explains one that is found. */
export const workedFor = (found: FoundFigure): WorkedFigure => WORKED[found] ?? (found as WorkedFigure);
