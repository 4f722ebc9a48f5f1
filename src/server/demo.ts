import { DEMO_DEALS, DEMO_VEHICLES } from "#demo/scenario";
import type { Database } from "@/data/database";
import { hasDeals, insertDeals } from "@/data/deals";
import { keepVehicles } from "@/data/suggestions";

/** Loads the demo scenario into a database that has no deals yet. */
export async function loadDemo(database: Database): Promise<void> {
  if (await hasDeals(database)) return;
  await keepVehicles(database, DEMO_VEHICLES);
  await insertDeals(database, DEMO_DEALS);
}
