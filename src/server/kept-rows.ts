import type { Database } from "@/data/database";
import type { DealRecord } from "@/data/deals";
import { dealCount, dealsAfter } from "@/data/deals";
import { changesOf, stateAfter } from "@/data/history";
import { getSettings } from "@/data/settings";
import { getSigning } from "@/data/signings";
import { arrivingStock, stockList } from "@/data/stock";
import { checkNewDealRequest, checkSettingsRequest, checkVehicle } from "./requests";

const DEALS_AT_A_TIME = 100;

/**
 * Looks at all that is kept in a database, as the door looks at what is sent: what it would refuse no page could show.
 *
 * @returns a sentence for the first that it would refuse; undefined where there is none
 */
export async function lookAtKept(database: Database): Promise<string | undefined> {
  return (await lookAtSettings(database)) ?? (await lookAtStock(database)) ?? lookAtDeals(database);
}

async function lookAtSettings(database: Database): Promise<string | undefined> {
  const kept = await getSettings(database);
  if (!kept) return undefined;
  const { settings, version } = kept;
  const checked = checkSettingsRequest({ settings, version });
  return checked.ok ? undefined : `The settings cannot be read: ${checked.sentence}`;
}

async function lookAtStock(database: Database): Promise<string | undefined> {
  const stock = (await stockList(database)).map(({ id: _, version: _version, ...vehicle }) => vehicle);
  for (const vehicle of [...stock, ...(await arrivingStock(database))]) {
    const checked = checkVehicle(vehicle);
    if (!checked.ok) return `A vehicle in stock cannot be read: ${checked.sentence}`;
  }
  return undefined;
}

async function lookAtDeals(database: Database): Promise<string | undefined> {
  let after: string | null = null;
  let seen = 0;
  do {
    const { records, last } = await dealsAfter(database, after, DEALS_AT_A_TIME);
    for (const record of records) {
      const sentence = await lookAtDeal(database, record);
      if (sentence) return `A deal of “${record.document.customer}” cannot be read: ${sentence}`;
    }
    seen += records.length;
    after = last;
  } while (after !== null);
  return seen === (await dealCount(database)) ? undefined : "A deal has no option.";
}

async function lookAtDeal(database: Database, { id, document }: DealRecord): Promise<string | undefined> {
  const checked = checkNewDealRequest({ document });
  if (!checked.ok) return checked.sentence;
  const [, ...earlier] = await changesOf(database, id);
  const oldest = earlier.at(-1);
  try {
    // It is come to through every one that followed.
    if (oldest) await stateAfter(database, id, document, oldest.number);
  } catch {
    return "its history does not lead back to its beginning.";
  }
  const signing = await getSigning(database, id);
  return signing && !areQuotes(signing.quotes) ? "what it was signed with is no quote." : undefined;
}

/** Whether what was kept at a signing is a list of quotes, each an answer in figures or the reason why there is none. */
function areQuotes(quotes: unknown): boolean {
  return (
    Array.isArray(quotes) &&
    quotes.every(
      each =>
        typeof each?.optionId === "string" &&
        (typeof each.sentence === "string" || Number.isSafeInteger(each.quote?.payment)),
    )
  );
}
