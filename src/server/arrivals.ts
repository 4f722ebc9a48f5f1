import type { Store } from "@/data/store";
import { inTurns } from "@/data/turns";

/** So few at a time that others are served in between. */
const AT_A_TIME = 50;

/** Shows all deals that have arrived. */
export const showArrivals = (store: Store): Promise<void> => inTurns(() => store.showArrived(AT_A_TIME));

/** Finishes what the last stop has cut off: deals that were not all there go, those that were are shown. */
export async function settleArrivals(store: Store): Promise<void> {
  await inTurns(() => store.dropCutOff(AT_A_TIME));
  await showArrivals(store);
}
