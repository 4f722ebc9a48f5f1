import type { Dealer } from "@/exchange/dealer";
import type { SettingsDealer } from "@/exchange/settings";
import type {
  DealerReply,
  EarnedReply,
  HistoryReply,
  SettingsDealerReply,
  StockCostsReply,
} from "@/server/contract";
import { ask } from "./client";

/** What can be asked of the dealer's side, while it is open. */
export const dealerApi = {
  open: (id: string) => ask<DealerReply>("GET", `/api/deals/${id}/dealer`),
  save: (id: string, version: number, dealer: Dealer) =>
    ask<DealerReply, DealerReply>("PUT", `/api/deals/${id}/dealer`, { version, dealer }),
  history: (id: string) => ask<HistoryReply>("GET", `/api/deals/${id}/history?with=dealer`),
  settings: () => ask<SettingsDealerReply>("GET", "/api/settings/dealer"),
  saveSettings: (version: number, dealer: SettingsDealer) =>
    ask<SettingsDealerReply>("PUT", "/api/settings/dealer", { version, dealer }),
  earned: (month: string | null) =>
    ask<EarnedReply>("GET", `/api/earned${month === null ? "" : `?month=${month}`}`),
  stockCosts: () => ask<StockCostsReply>("GET", "/api/stock/costs"),
};
