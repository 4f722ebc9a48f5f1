import type { KeptVehicle } from "@/data/stock";
import type { Store } from "@/data/store";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { putAllInStock } from "./arrivals";
import type { StockReply } from "./contract";
import { Refusal } from "./refusal";

/** All vehicles in stock. */
export async function openStock(store: Store): Promise<StockReply> {
  return { vehicles: await store.stockList() };
}

/** Puts vehicles into stock, all or none; those that are there already get the new figures. */
export async function addToStock(store: Store, vehicles: VehicleFile[]): Promise<StockReply> {
  const stock = vehicles.map(tidied);
  await store.stockArrives(stock);
  await putAllInStock(store);
  return { vehicles: await store.stockCalled(stock.map(({ description }) => description)) };
}

const NOT_THERE = "This vehicle is not in stock any more.";

/** Changes a vehicle in stock. */
export async function changeInStock(store: Store, id: string, vehicle: VehicleFile): Promise<KeptVehicle> {
  const changed = await store.changeVehicle(id, tidied(vehicle));
  if (changed === "gone") throw new Refusal(404, NOT_THERE);
  if (changed === "taken") {
    throw new Refusal(
      409,
      `“${vehicle.description}” is in stock already; give this one another description.`,
    );
  }
  return changed;
}

/** Takes a vehicle out of stock. */
export async function removeFromStock(store: Store, id: string): Promise<{ id: string }> {
  if (!(await store.takeOutOfStock(id))) throw new Refusal(404, NOT_THERE);
  return { id };
}

const tidied = (vehicle: VehicleFile): VehicleFile => ({
  ...vehicle,
  description: vehicle.description.replace(/\s+/g, " ").trim(),
});
