import type { VehicleFile } from "@/exchange/stock/stock.schema";
import type { KeptVehicle, MarkReply, StockReply } from "@/server/contract";
import { ask } from "./client";

/** What can be asked of the stock. A change or a removal names the version in view. */
export const stockApi = {
  all: () => ask<StockReply>("GET", "/api/stock"),
  mark: () => ask<MarkReply>("GET", "/api/stock/mark"),
  add: (vehicles: readonly VehicleFile[]) => ask<StockReply>("POST", "/api/stock", { vehicles }, true),
  change: (id: string, version: number, vehicle: VehicleFile) =>
    ask<KeptVehicle>("PUT", `/api/stock/${id}?version=${version}`, vehicle),
  remove: (id: string, version: number) =>
    ask<{ id: string }>("DELETE", `/api/stock/${id}?version=${version}`),
};
