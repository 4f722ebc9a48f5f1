import type { Database } from "@/data/database";
import { listCustomerNames, listVehicles } from "@/data/suggestions";
import type { DealReply, StockVehicle } from "./contract";
import { openDeal } from "./deals";
import { isDealId } from "./door";
import { Refusal } from "./refusal";

/** What the deal screen opens with. */
export type DealPage = { deal: DealReply; customers: string[]; vehicles: StockVehicle[] };

/** A deal with the customers and vehicles to pick from; undefined where there is no such deal. */
export async function dealPage(database: Database, id: string): Promise<DealPage | undefined> {
  if (!isDealId(id)) return undefined;
  try {
    return {
      deal: await openDeal(database, id),
      customers: await listCustomerNames(database),
      vehicles: await listVehicles(database),
    };
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}
