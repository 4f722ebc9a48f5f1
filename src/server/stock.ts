import type { KeptVehicle } from "@/data/shown-vehicle";
import type { Store } from "@/data/store";
import { isSame } from "@/exchange/deal-document";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { putAllInStock } from "./arrivals";
import type { MarkReply, StockCostsReply, StockReply } from "./contract";
import { Refusal } from "./refusal";

/** All vehicles in stock. */
export async function openStock(store: Store): Promise<StockReply> {
  const [mark, vehicles] = [await store.stockMark(), await store.stockList()];
  return { vehicles, mark };
}

/** What vehicles in stock cost the dealer, for whom the dealer's side is open. */
export const openStockCosts = async (store: Store): Promise<StockCostsReply> => ({
  costs: await store.stockCosts(),
});

/** What tells this state of the stock from another: pages that show it ask, to learn of what others change. */
export const stockMark = async (store: Store): Promise<MarkReply> => ({ mark: await store.stockMark() });

/** Puts vehicles into stock, all or none; those that are there already get the new figures. */
export async function addToStock(store: Store, vehicles: VehicleFile[]): Promise<StockReply> {
  const stock = vehicles.map(tidied);
  await putAllInStock(store, await store.stockArrives(stock));
  const kept = await store.stockOf(stock);
  return { vehicles: kept, mark: await store.stockMark() };
}

const NOT_THERE = "This vehicle is not in stock any more.";

/**
 * Changes a vehicle in stock.
 *
 * @param version the one in view; a change that was kept already, whose answer never arrived, is confirmed
 */
export async function changeInStock(
  store: Store,
  id: string,
  version: number,
  vehicle: VehicleFile,
): Promise<KeptVehicle> {
  const change = tidied(vehicle);
  const changed = await store.changeVehicle(id, version, change);
  if (changed === "gone") throw new Refusal(404, NOT_THERE);
  if (changed === "taken") {
    throw new Refusal(
      422,
      `Stock number ${vehicle.stockNumber} is another vehicle’s already; give this one another.`,
    );
  }
  if (!("changed" in changed)) return changed;
  const { version: now, ...kept } = changed.changed;
  const { costMinor: _cost, invoiceMinor: _invoice, ...shown } = change;
  if (now === version + 1 && isSame(kept, { ...kept, ...shown })) return changed.changed;
  throw new Refusal(409, CHANGED_SINCE);
}

const CHANGED_SINCE = "It was changed somewhere else since; look at it again.";

/**
 * Takes a vehicle out of stock.
 *
 * @param version the one in view
 */
export async function removeFromStock(store: Store, id: string, version: number): Promise<{ id: string }> {
  const removed = await store.takeOutOfStock(id, version);
  if (removed === undefined) throw new Refusal(404, NOT_THERE);
  if (removed !== true) throw new Refusal(409, CHANGED_SINCE);
  return { id };
}

const tidied = (vehicle: VehicleFile): VehicleFile => ({
  ...vehicle,
  description: vehicle.description.replace(/\s+/g, " ").trim(),
});
