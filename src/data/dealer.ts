import { and, eq, inArray, isNull } from "drizzle-orm";
import { isSame } from "@/exchange/deal-document";
import type { Dealer } from "@/exchange/dealer";
import type { Database } from "./database";
import { isDealerOf, keptPart, NOTHING } from "./dealer-part";
import { type DealRecord, getDeal } from "./deals";
import { noteDealerChange } from "./history";
import { keepPart } from "./keep-part";
import { dealParts, deals, registerLines } from "./schema";

/** The dealer's part of a deal as it is kept. */
export type DealerRecord = Pick<DealRecord, "id" | "version" | "changedAt" | "deleted"> & { dealer: Dealer };

/** The dealer's part of a deal, deleted or not. */
export async function getDealer(database: Database, id: string): Promise<DealerRecord | undefined> {
  const [row] = await database
    .select({
      version: deals.version,
      changedAt: deals.changedAt,
      deletedAt: deals.deletedAt,
      dealer: dealParts.json,
    })
    .from(deals)
    .leftJoin(dealParts, isDealerOf(id))
    .where(eq(deals.id, id));
  if (!row) return undefined;
  const { version, changedAt, deletedAt, dealer } = row;
  return { id, version, changedAt, deleted: deletedAt !== null, dealer: (dealer as Dealer) ?? NOTHING };
}

/** The dealer's parts of some deals, by the deal's id; those of which nothing is known are left out. */
export async function keptDealers(
  database: Database,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Dealer>> {
  if (ids.length === 0) return new Map();
  const { dealId, json, part } = dealParts;
  const rows = await database
    .select({ dealId, json })
    .from(dealParts)
    .where(and(eq(part, "dealer"), inArray(dealId, [...ids])));
  return new Map(rows.map(row => [row.dealId, row.json as Dealer]));
}

/**
 * Saves the dealer's part of a deal, whatever others have changed of the deal itself since.
 *
 * @param version the version of the deal that it was made from
 * @returns undefined where somebody else has changed the part since, or the deal is deleted
 */
export async function updateDealer(
  database: Database,
  id: string,
  version: number,
  dealer: Dealer,
): Promise<DealerRecord | undefined> {
  return database.transaction(async tx => {
    const [live] = await tx
      .select({ version: deals.version, changedAt: deals.changedAt })
      .from(deals)
      .where(and(eq(deals.id, id), isNull(deals.deletedAt)))
      .for("update");
    if (!live) return undefined;
    const kept = await keptPart(tx, id);
    if (isSame(kept.dealer, dealer)) return { id, ...live, deleted: false, dealer };
    if (kept.version > version || version > live.version) return undefined;
    const [next, changedAt] = [live.version + 1, new Date()];
    await keepPart(tx, id, "dealer", next, dealer);
    await tx.update(deals).set({ version: next, changedAt }).where(eq(deals.id, id));
    await tx.update(registerLines).set({ dealVersion: next, changedAt }).where(eq(registerLines.dealId, id));
    const saved = { dealId: id, before: kept.dealer, after: dealer, version: next };
    const document = (await getDeal(tx, id))?.document;
    if (document) await noteDealerChange(tx, { ...saved, at: changedAt, beforeAt: live.changedAt }, document);
    return { id, version: next, changedAt, deleted: false, dealer };
  });
}
