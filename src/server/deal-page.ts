import type { Database } from "@/data/database";
import { listCustomerNames, listVehicles } from "@/data/suggestions";
import type { DealReply, StockVehicle } from "./contract";
import { findDeal } from "./deals";
import { isDealId } from "./door";

/** What the deal screen opens with. */
export type DealPage = { deal: DealReply; customers: string[]; vehicles: StockVehicle[] };

/**
 * A deal with the customers and vehicles to pick from; undefined where there is no such deal. A deleted deal
 * opens too, so that it can be brought back, and with it a change that was never saved.
 */
export async function dealPage(database: Database, id: string): Promise<DealPage | undefined> {
  const deal = isDealId(id) ? await findDeal(database, id) : undefined;
  return (
    deal && {
      deal,
      customers: await listCustomerNames(database),
      vehicles: await listVehicles(database),
    }
  );
}
