import type { Database } from "@/data/database";
import { dealCount, dealsAfter, getDeal } from "@/data/deals";
import { longHistories, stateAfter } from "@/data/history";
import { getSettings } from "@/data/settings";
import { getSigning, signedDeals } from "@/data/signings";
import { arrivingStock, stockList } from "@/data/stock";
import type { DealDocument } from "@/exchange/deal-document";
import { checkNewDealRequest, checkSettingsRequest, checkVehicle } from "./requests";

const DEALS_AT_A_TIME = 100;

/**
 * Looks at all that is kept in a database, as the door looks at what is sent: what it would refuse no page could show.
 *
 * @returns a sentence for the first that it would refuse; undefined where there is none
 */
export async function lookAtKept(database: Database): Promise<string | undefined> {
  for (const look of [lookAtSettings, lookAtStock, lookAtDeals, lookAtHistories, lookAtSignings]) {
    const sentence = await look(database);
    if (sentence) return sentence;
  }
  return undefined;
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
    for (const { document } of records) {
      const checked = checkNewDealRequest({ document });
      if (!checked.ok) return unreadable(document, checked.sentence);
    }
    seen += records.length;
    after = last;
  } while (after !== null);
  return seen === (await dealCount(database)) ? undefined : "A deal has no option.";
}

const unreadable = ({ customer }: DealDocument, sentence: string) =>
  `A deal of “${customer}” cannot be read: ${sentence}`;

async function lookAtHistories(database: Database): Promise<string | undefined> {
  for (const { dealId, oldest } of await longHistories(database)) {
    const deal = await getDeal(database, dealId);
    try {
      // It is come to through every one that followed.
      if (deal) await stateAfter(database, dealId, deal.document, oldest);
    } catch {
      return deal && unreadable(deal.document, "its history does not lead back to its beginning.");
    }
  }
  return undefined;
}

async function lookAtSignings(database: Database): Promise<string | undefined> {
  for (const dealId of await signedDeals(database)) {
    const signing = await getSigning(database, dealId);
    const deal = await getDeal(database, dealId);
    if (deal && signing && !areQuotes(signing.quotes))
      return unreadable(deal.document, "what it was signed with is no quote.");
  }
  return undefined;
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
