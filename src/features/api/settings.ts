import type { Settings } from "@/exchange/settings";
import type { SettingsReply } from "@/server/contract";
import { ask, send } from "./client";

/** What can be asked of the house's settings. */
export const settingsApi = {
  read: () => ask<SettingsReply>("GET", "/api/settings"),
  save: (version: number, settings: Settings) =>
    ask<SettingsReply>("PUT", "/api/settings", { version, settings }),
  /** Sends a picture, which is then known by its digest. */
  keepLogo: (picture: File) => send<{ sha256: string }>("POST", "/api/settings/logo", picture),
};

/** Where a logo that is kept can be fetched. */
export const logoAddress = (sha256: string) => `/api/settings/logo?sha256=${sha256}`;

/** The settings as a file, which brings its logo along. */
export async function settingsToFile(settings: Settings): Promise<Settings> {
  const { logo, ...papers } = settings.papers ?? {};
  if (!logo || !("sha256" in logo)) return settings;
  const response = await fetch(logoAddress(logo.sha256)).catch(() => undefined);
  if (!response?.ok) return { ...settings, papers };
  const bytes = new Uint8Array(await response.arrayBuffer());
  const image = btoa(bytes.reduce((text, byte) => text + String.fromCharCode(byte), ""));
  return { ...settings, papers: { ...papers, logo: { image } } };
}
