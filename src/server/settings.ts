import type { KeptSettings } from "@/data/settings";
import type { Store } from "@/data/store";
import { DEFAULT_SETTINGS } from "@/exchange/settings";
import type { SettingsDealerReply, SettingsReply } from "./contract";
import { Refusal } from "./refusal";
import type { SettingsDealerRequest, SettingsRequest } from "./requests";

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

/** What of the settings customers never see, for whom the dealer's side is open. */
export async function openSettingsDealer(store: Store): Promise<SettingsDealerReply> {
  return (await store.getSettingsDealer()) ?? { dealer: {}, version: 0 };
}

/** Keeps it, unless somebody else has changed it since. */
export async function saveSettingsDealer(
  store: Store,
  { version, dealer }: SettingsDealerRequest,
): Promise<SettingsDealerReply> {
  const kept = await store.keepSettingsDealer(version, dealer);
  if (!kept)
    throw new Refusal(409, "The dealer's side was changed and saved somewhere else since you opened it.");
  return kept;
}

/** Keeps the settings, unless somebody else has changed them since. */
export async function saveSettings(
  store: Store,
  { version, settings, dealer }: SettingsRequest,
): Promise<SettingsReply> {
  const kept = await store.keepSettings(version, settings);
  if (kept && dealer) await store.keepSettingsDealer((await openSettingsDealer(store)).version, dealer);
  if (!kept)
    throw new Refusal(409, "The settings were changed and saved somewhere else since you opened them.");
  return reply(kept);
}
