import { and, eq } from "drizzle-orm";
import { currencyDecimals, formatAmount } from "@/core";
import { type DealDocument, isSame } from "@/exchange/deal-document";
import { type Dealer, type KnownCosts, takesSomething, withTakenCosts } from "@/exchange/dealer";
import type { Database } from "./database";
import { keepPart } from "./keep-part";
import { dealParts, settings } from "./schema";
import { costsInStock } from "./stock-costs";

export const NOTHING: Dealer = {};

export const isDealerOf = (id: string) => and(eq(dealParts.dealId, id), eq(dealParts.part, "dealer"));

/** The dealer's part of a deal, and the deal's version at which it last changed; 0 where there never was one. */
export async function keptPart(tx: Database, id: string): Promise<{ dealer: Dealer; version: number }> {
  const [part] = await tx
    .select({ dealer: dealParts.json, version: dealParts.version })
    .from(dealParts)
    .where(isDealerOf(id));
  return part ? { dealer: part.dealer as Dealer, version: part.version } : { dealer: NOTHING, version: 0 };
}

/** Puts what a change of a deal has taken into its dealer's part, which whoever made the change need not have seen. */
export async function keepTaken(
  tx: Database,
  dealId: string,
  version: number,
  before: DealDocument,
  after: DealDocument,
): Promise<void> {
  if (!takesSomething(before, after)) return;
  const { dealer } = await keptPart(tx, dealId);
  const [known] = await knownCosts(tx, [after]);
  const taken = known ? withTakenCosts(dealer, before, after, known) : dealer;
  if (!isSame(taken, dealer)) await keepPart(tx, dealId, "dealer", version, taken);
}

/** The dealer's parts of new deals, each with what the deal has taken. */
export async function dealersOf(
  tx: Database,
  arriving: readonly { document: DealDocument; dealer: Dealer | undefined }[],
): Promise<Dealer[]> {
  const known = await knownCosts(
    tx,
    arriving.map(({ document }) => document),
  );
  return arriving.map(({ document, dealer }, index) => {
    const { terms, ...costs } = known[index] ?? { usual: {}, vehicle: undefined };
    // What comes from a file, or from a deal before, has terms of its own or none.
    return dealer === undefined
      ? withTakenCosts(NOTHING, undefined, document, { ...costs, terms })
      : withTakenCosts(dealer, undefined, document, costs);
  });
}

/** What the house knows of what deals can take. */
async function knownCosts(tx: Database, documents: readonly DealDocument[]): Promise<KnownCosts[]> {
  const [house] = await tx.select({ dealer: settings.dealer }).from(settings);
  const ids = [...new Set(documents.flatMap(({ vehicle }) => vehicle?.id ?? []))];
  const stock = ids.length > 0 ? await costsInStock(tx, ids) : [];
  const costs = new Map(stock.map(each => [each.id, each]));
  const { extraCosts = {}, reserve, officerShare } = house?.dealer ?? {};
  const terms =
    reserve || officerShare
      ? { ...(reserve && { reserve }), ...(officerShare && { officerShare }) }
      : undefined;
  return documents.map(({ vehicle, options: [first] }) => {
    const inStock = vehicle && costs.get(vehicle.id);
    const isKnown = inStock?.costMinor != null && inStock.currency === first?.inputs.currency;
    return {
      usual: extraCosts,
      terms,
      vehicle: isKnown
        ? formatAmount(inStock.costMinor ?? 0, currencyDecimals(inStock.currency) ?? 2)
        : undefined,
    };
  });
}
