import type { Database } from "@/data/database";
import { keptDealers } from "@/data/dealer";
import { dealCount, dealsAfter, getDeal } from "@/data/deals";
import { longHistories, stateAfter } from "@/data/history";
import { changedBlobs } from "@/data/papers";
import { keptRates } from "@/data/rates";
import { getSettings, getSettingsDealer } from "@/data/settings";
import { signedDeals, storedSigning } from "@/data/signings";
import { arrivingStock, stockCosts, stockList } from "@/data/stock";
import { type DealDocument, nameOf } from "@/exchange/deal-document";
import { checkRates, problemsOf } from "@/exchange/rates/read-rates";
import { readSignedQuote } from "@/exchange/signed-quote";
import {
  checkDealerRequest,
  checkNewDealRequest,
  checkSettingsDealerRequest,
  checkSettingsRequest,
  checkVehicle,
} from "./requests";

const DEALS_AT_A_TIME = 100;

/**
 * Looks at all that is kept in a database, as the door looks at what is sent: what it would refuse no page could show.
 *
 * @returns a sentence for the first that it would refuse; undefined where there is none
 */
export async function lookAtKept(database: Database): Promise<string | undefined> {
  for (const look of [
    lookAtSettings,
    lookAtStock,
    lookAtRates,
    lookAtDeals,
    lookAtHistories,
    lookAtSignings,
    lookAtPapers,
  ]) {
    const sentence = await look(database);
    if (sentence) return sentence;
  }
  return undefined;
}

async function lookAtSettings(database: Database): Promise<string | undefined> {
  const kept = await getSettings(database);
  if (!kept) return undefined;
  const { settings, version } = kept;
  const all = [
    checkSettingsRequest({ settings, version }),
    checkSettingsDealerRequest(await getSettingsDealer(database)),
  ];
  const wrong = all.find(each => !each.ok);
  return wrong && !wrong.ok ? `The settings cannot be read: ${wrong.sentence}` : undefined;
}

async function lookAtStock(database: Database): Promise<string | undefined> {
  const costs = await stockCosts(database);
  const stock = (await stockList(database)).map(({ version: _, ...vehicle }) => ({
    ...vehicle,
    ...costs[vehicle.id],
  }));
  for (const vehicle of [...stock, ...(await arrivingStock(database))]) {
    const checked = checkVehicle(vehicle);
    if (!checked.ok) return `A vehicle in stock cannot be read: ${checked.sentence}`;
  }
  return undefined;
}

async function lookAtRates(database: Database): Promise<string | undefined> {
  const { lenders } = await keptRates(database);
  if (lenders.length === 0) return undefined;
  const checked = checkRates({ format: "kellux-rates", version: 1, lenders });
  const sentence = checked.ok ? problemsOf(lenders)[0]?.sentence : checked.sentence;
  return sentence && `What lenders offer cannot be read: ${sentence}`;
}

async function lookAtDeals(database: Database): Promise<string | undefined> {
  let after: string | null = null;
  let seen = 0;
  do {
    const { records, last } = await dealsAfter(database, after, DEALS_AT_A_TIME);
    const dealers = await keptDealers(
      database,
      records.map(({ id }) => id),
    );
    for (const { id, document } of records) {
      const dealer = dealers.get(id) ?? {};
      const wrong = [checkNewDealRequest({ document }), checkDealerRequest({ version: 1, dealer })].find(
        each => !each.ok,
      );
      if (wrong && !wrong.ok) return unreadable(document, wrong.sentence);
    }
    seen += records.length;
    after = last;
  } while (after !== null);
  return seen === (await dealCount(database)) ? undefined : "A deal has no option.";
}

const unreadable = ({ customer }: DealDocument, sentence: string) =>
  `A deal of “${nameOf(customer)}” cannot be read: ${sentence}`;

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

async function lookAtPapers(database: Database): Promise<string | undefined> {
  const changed = await changedBlobs(database);
  return changed > 0 ? "A paper is not what was made: its bytes have changed." : undefined;
}

async function lookAtSignings(database: Database): Promise<string | undefined> {
  for (const dealId of await signedDeals(database)) {
    const signing = await storedSigning(database, dealId);
    const deal = await getDeal(database, dealId);
    const wrong = signing && wrongQuote(signing.quotes);
    if (deal && wrong) return unreadable(deal.document, `what it was signed with: ${wrong}`);
  }
  return undefined;
}

/** What is wrong with what was kept at a signing; undefined where every quote of it can be read. */
function wrongQuote(quotes: unknown): string | undefined {
  if (!Array.isArray(quotes)) return "the quotes are no list.";
  for (const quote of quotes) {
    const read = readSignedQuote(quote);
    if (!read.ok) return read.sentence;
  }
  return undefined;
}
