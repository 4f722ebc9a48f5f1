import { DEMO_RATES } from "#demo/rates";
import { DEMO_DEALS } from "#demo/scenario";
import { DEMO_SETTINGS, DEMO_SETTINGS_DEALER } from "#demo/settings";
import { DEMO_VEHICLES } from "#demo/stock";
import type { NewDeal } from "@/data/new-deals";
import type { Store } from "@/data/store";
import type { DealDocument } from "@/exchange/deal-document";
import { putAllInStock } from "./arrivals";

/**
 * Loads the demo scenario into a store that has no deals yet.
 *
 * @param ready gives a signed deal the quotes that it is signed with
 */
export async function loadDemo(
  store: Store,
  ready: (deal: DealDocument) => Promise<NewDeal> = async deal => deal,
): Promise<void> {
  if (await store.hasDeals()) return;
  await store.stockArrives(DEMO_VEHICLES);
  await putAllInStock(store);
  // What deals take of the house's extras comes with what it pays for them.
  await store.keepSettings(0, DEMO_SETTINGS);
  await store.keepSettingsDealer(0, DEMO_SETTINGS_DEALER);
  await store.changeRates(await store.ratesMark(), { put: DEMO_RATES, gone: [] });
  await store.insertDeals(await Promise.all(DEMO_DEALS.map(deal => ready(deal))));
}
