import { setTimeout as wait } from "node:timers/promises";
import type { JobKind } from "@/data/jobs";
import type { Store } from "@/data/store";
import { inTurns } from "@/data/turns";

/** So few at a time that others are served in between. */
const AT_A_TIME = 20;
const VEHICLES_AT_A_TIME = 100;
const LOOKS_APART_MS = 50;

/**
 * Shows all deals that have arrived.
 *
 * @param arrival those that are waited for, also where another process is showing them
 */
export const showArrivals = (store: Store, arrival?: string): Promise<void> =>
  untilDone(store, () => store.showArrived(AT_A_TIME), "showDeals", arrival);

/** Drops all deals of an arrival that came to nothing. */
export const dropArrival = (store: Store, arrival: string): Promise<void> =>
  inTurns(() => store.dropCutOff(AT_A_TIME, arrival));

/**
 * Puts all vehicles into stock that have arrived.
 *
 * @param arrival those that are waited for
 */
export const putAllInStock = (store: Store, arrival?: string): Promise<void> =>
  untilDone(store, () => store.putInStock(VEHICLES_AT_A_TIME), "putInStock", arrival);

/** Does what there is to be done; then waits for the one that is meant, which another process may be at work on. */
async function untilDone(
  store: Store,
  part: () => Promise<number>,
  kind: JobKind,
  key: string | undefined,
): Promise<void> {
  await inTurns(part);
  while (key !== undefined && (await store.isToBeDone({ kind, key }))) {
    await wait(LOOKS_APART_MS);
    await inTurns(part);
  }
}

/** Finishes what a stop has cut off: vehicles that had arrived come into stock, deals that were not all there go, those that were are shown. */
export async function settleArrivals(store: Store): Promise<void> {
  await inTurns(() => store.dropCutOff(AT_A_TIME));
  await showArrivals(store);
  await putAllInStock(store);
  await store.forgetCosts();
}
