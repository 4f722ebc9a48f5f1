import type { DealDocument } from "@/exchange/deal-document";
import type { Settings } from "@/exchange/settings";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import type {
  ArrivingReply,
  DealReply,
  HistoryReply,
  KeptVehicle,
  MarkReply,
  RegisterPage,
  SettingsReply,
  StateReply,
  StockReply,
  StockVehicle,
  VersionReply,
} from "@/server/contract";
import { ask } from "./client";

const dealPath = (id: string) => `/api/deals/${id}`;

export const api = {
  register: (query: string) => ask<RegisterPage>("GET", `/api/deals${query}`),
  create: (document: DealDocument) => ask<DealReply>("POST", "/api/deals", { document }),
  deal: (id: string) => ask<DealReply>("GET", dealPath(id)),
  version: (id: string) => ask<VersionReply>("GET", `${dealPath(id)}/version`),
  duplicate: (id: string) => ask<DealReply>("POST", `${dealPath(id)}/duplicate`),
  /** The version is the one in view: what nobody has seen is neither deleted nor reopened. */
  remove: (id: string, version: number) =>
    ask<{ id: string }>("DELETE", `${dealPath(id)}?version=${version}`),
  restore: (id: string) => ask<DealReply>("POST", `${dealPath(id)}/restore`),
  reopen: (id: string, version: number) =>
    ask<DealReply>("POST", `${dealPath(id)}/reopen?version=${version}`),
  history: (id: string) => ask<HistoryReply>("GET", `${dealPath(id)}/history`),
  stateAfter: (id: string, change: number) => ask<StateReply>("GET", `${dealPath(id)}/history/${change}`),
  customersLike: (text: string) =>
    ask<{ customers: string[] }>("GET", `/api/names?customer=${encodeURIComponent(text)}`),
  vehiclesLike: (text: string) =>
    ask<{ vehicles: StockVehicle[] }>("GET", `/api/names?vehicle=${encodeURIComponent(text)}`),
  stock: () => ask<StockReply>("GET", "/api/stock"),
  addToStock: (vehicles: readonly VehicleFile[]) => ask<StockReply>("POST", "/api/stock", { vehicles }, true),
  stockMark: () => ask<MarkReply>("GET", "/api/stock/mark"),
  /** The version is the one in view, of a vehicle, too. */
  changeInStock: (id: string, version: number, vehicle: VehicleFile) =>
    ask<KeptVehicle>("PUT", `/api/stock/${id}?version=${version}`, vehicle),
  removeFromStock: (id: string, version: number) =>
    ask<{ id: string }>("DELETE", `/api/stock/${id}?version=${version}`),
  settings: () => ask<SettingsReply>("GET", "/api/settings"),
  saveSettings: (version: number, settings: Settings) =>
    ask<SettingsReply>("PUT", "/api/settings", { version, settings }),
  arriving: (id: string) => ask<ArrivingReply>("GET", `/api/deals/all/${id}`),
  cancelArriving: (id: string) => ask<{ id: string }>("DELETE", `/api/deals/all/${id}`),
  importFile: (fileName: string, text: string) =>
    ask<DealReply>("POST", "/api/deals/import", { fileName, text }),
};
