import type { Settings } from "@/exchange/settings";
import type { SettingsReply } from "@/server/contract";
import { ask } from "./client";

/** What can be asked of the house's settings. */
export const settingsApi = {
  read: () => ask<SettingsReply>("GET", "/api/settings"),
  save: (version: number, settings: Settings) =>
    ask<SettingsReply>("PUT", "/api/settings", { version, settings }),
};
