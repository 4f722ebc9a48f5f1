import type { KeptSettings } from "@/data/settings";
import type { Store } from "@/data/store";
import { DEFAULT_SETTINGS } from "@/exchange/settings";
import type { SettingsReply } from "./contract";
import { Refusal } from "./refusal";
import type { SettingsRequest } from "./requests";

const reply = ({ settings, version, changedAt }: KeptSettings): SettingsReply => ({
  settings,
  version,
  changedAt: changedAt.toISOString(),
});

/** What the house has settled; what every house starts with while it has settled nothing. */
export async function openSettings(store: Store): Promise<SettingsReply> {
  const kept = await store.getSettings();
  return kept ? reply(kept) : { settings: DEFAULT_SETTINGS, version: 0, changedAt: null };
}

/** Keeps the settings, unless somebody else has changed them since. */
export async function saveSettings(
  store: Store,
  { version, settings }: SettingsRequest,
): Promise<SettingsReply> {
  const kept = await store.keepSettings(version, settings);
  if (!kept)
    throw new Refusal(409, "The settings were changed and saved somewhere else since you opened them.");
  return reply(kept);
}
