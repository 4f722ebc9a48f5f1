import { DEMO_DEALS, DEMO_VEHICLES } from "#demo/scenario";
import { DEMO_SETTINGS } from "#demo/settings";
import type { Store } from "@/data/store";

/** Loads the demo scenario into a store that has no deals yet. */
export async function loadDemo(store: Store): Promise<void> {
  if (await store.hasDeals()) return;
  await store.keepVehicles(DEMO_VEHICLES);
  await store.insertDeals(DEMO_DEALS);
  await store.keepSettings(0, DEMO_SETTINGS);
}
