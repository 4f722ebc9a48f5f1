import type { DealDocument } from "@/exchange/deal-document";
import type {
  DealReply,
  HistoryReply,
  KnownCustomer,
  RegisterPage,
  StateReply,
  StockVehicle,
} from "@/server/contract";
import { ask } from "./client";

const dealPath = (id: string) => `/api/deals/${id}`;

export const api = {
  register: (query: string) => ask<RegisterPage>("GET", `/api/deals${query}`),
  create: (document: DealDocument) => ask<DealReply>("POST", "/api/deals", { document }),
  deal: (id: string) => ask<DealReply>("GET", dealPath(id)),
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
    ask<{ customers: KnownCustomer[] }>("GET", `/api/names?customer=${encodeURIComponent(text)}`),
  vehiclesLike: (text: string) =>
    ask<{ vehicles: StockVehicle[] }>("GET", `/api/names?vehicle=${encodeURIComponent(text)}`),
  importFile: (fileName: string, text: string) =>
    ask<DealReply>("POST", "/api/deals/import", { fileName, text }),
};
