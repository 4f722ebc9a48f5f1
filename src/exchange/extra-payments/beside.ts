import type { ExtraFile } from "./extra.schema";
import type { ReturnFile } from "./return.schema";

/** What a deal is answered beside: what is tried and assumed, and the place whose law counts. */
export type Beside = {
  early?: ExtraFile | undefined;
  return?: ReturnFile | undefined;
  place?: string | undefined;
};
