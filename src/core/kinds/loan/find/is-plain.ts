import type { LoanDeal } from "../deal";

/** Whether a deal asks for its payment and says nothing of what follows from it: nothing has to be searched for. */
export function isPlain({ find, from }: Pick<LoanDeal, "find"> & { from?: unknown }): boolean {
  return find === "payment" && from === undefined;
}
