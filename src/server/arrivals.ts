import type { Store } from "@/data/store";
import { inTurns } from "@/data/turns";

/** So few at a time that others are served in between. */
const AT_A_TIME = 20;
const VEHICLES_AT_A_TIME = 100;

/**
 * Shows all deals that have arrived.
 *
 * @param shown is told how many are shown so far
 */
export async function showArrivals(store: Store, shown: (deals: number) => void = () => {}): Promise<void> {
  let deals = 0;
  await inTurns(async () => {
    const part = await store.showArrived(AT_A_TIME);
    deals += part;
    shown(deals);
    return part;
  });
}

/** Drops all deals of an arrival that came to nothing. */
export const dropArrival = (store: Store, arrival: string): Promise<void> =>
  inTurns(() => store.dropCutOff(AT_A_TIME, arrival));

/** Puts all vehicles into stock that have arrived. */
export const putAllInStock = (store: Store): Promise<void> =>
  inTurns(() => store.putInStock(VEHICLES_AT_A_TIME));

/** Finishes what the last stop has cut off: vehicles that had arrived come into stock, deals that were not all there go, those that were are shown. */
export async function settleArrivals(store: Store): Promise<void> {
  await inTurns(() => store.dropCutOff(AT_A_TIME));
  await showArrivals(store);
  await putAllInStock(store);
}
