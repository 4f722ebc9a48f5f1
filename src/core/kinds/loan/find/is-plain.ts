import type { Deal } from "../deal";

/** Whether a deal asks for its payment and says nothing of what follows from it: nothing has to be searched for. */
export function isPlain({ find, from }: Pick<Deal, "find"> & { from?: unknown }): boolean {
  return find === "payment" && from === undefined;
}
