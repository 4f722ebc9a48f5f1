import { and, eq } from "drizzle-orm";
import type { Settings, SettingsDealer } from "@/exchange/settings";
import type { Database } from "./database";
import { settings } from "./schema";

/** The settings as they are kept. */
export type KeptSettings = { settings: Settings; version: number; changedAt: Date };

const ONE_ROW = 1;

/** The settings; undefined while nothing is settled. */
export async function getSettings(database: Database): Promise<KeptSettings | undefined> {
  const [kept] = await database
    .select({ settings: settings.file, version: settings.version, changedAt: settings.changedAt })
    .from(settings);
  return kept;
}

/** What of the settings customers never see. */
type KeptSettingsDealer = { dealer: SettingsDealer; version: number };

/** The same; undefined while nothing is settled. */
export async function getSettingsDealer(database: Database): Promise<KeptSettingsDealer | undefined> {
  const [kept] = await database
    .select({ dealer: settings.dealer, version: settings.dealerVersion })
    .from(settings);
  return kept;
}

/**
 * Keeps it anew.
 *
 * @param version the version that it was made from
 * @returns it as it is kept now, or undefined where another version is, or nothing is settled
 */
export async function keepSettingsDealer(
  database: Database,
  version: number,
  dealer: SettingsDealer,
): Promise<KeptSettingsDealer | undefined> {
  const kept = await database
    .update(settings)
    .set({ dealer, dealerVersion: version + 1 })
    .where(and(eq(settings.id, ONE_ROW), eq(settings.dealerVersion, version)))
    .returning({ id: settings.id });
  return kept.length > 0 ? { dealer, version: version + 1 } : undefined;
}

/**
 * Keeps all settings anew.
 *
 * @param version the version that they were made from; 0 where nothing was settled
 * @returns them as they are kept now, or undefined where another version is
 */
export async function keepSettings(
  database: Database,
  version: number,
  file: Settings,
): Promise<KeptSettings | undefined> {
  const row = { file, version: version + 1, changedAt: new Date() };
  const kept =
    version === 0
      ? await database
          .insert(settings)
          .values({ id: ONE_ROW, ...row })
          .onConflictDoNothing()
          .returning({ id: settings.id })
      : await database
          .update(settings)
          .set(row)
          .where(and(eq(settings.id, ONE_ROW), eq(settings.version, version)))
          .returning({ id: settings.id });
  return kept.length > 0 ? { settings: file, version: row.version, changedAt: row.changedAt } : undefined;
}
