import { and, asc, eq, inArray, isNotNull, lt, notExists, sql } from "drizzle-orm";
import type { Database } from "./database";
import { dropIfUnused } from "./names";
import { deals, papers } from "./schema";

/** So few at a time that others are served in between. */
const AT_A_TIME = 20;

/**
 * Removes deals that nobody has changed since a day, with all that is kept of them, and customers that nobody names any more.
 * One of which a given paper is kept stays until that is removed.
 *
 * @returns how many were removed; there may be more
 */
export async function removeOldDeals(database: Database, before: Date): Promise<number> {
  return database.transaction(async tx => {
    const kept = tx
      .select({ one: sql`1` })
      .from(papers)
      .where(and(eq(papers.dealId, deals.id), isNotNull(papers.sha256)));
    const old = await tx
      .select({ id: deals.id, customerId: deals.customerId, vehicleId: deals.vehicleId })
      .from(deals)
      .where(and(lt(deals.changedAt, before), notExists(kept)))
      .orderBy(asc(deals.id))
      .limit(AT_A_TIME)
      .for("update");
    if (old.length === 0) return 0;
    await tx.delete(deals).where(
      inArray(
        deals.id,
        old.map(({ id }) => id),
      ),
    );
    for (const named of old) await dropIfUnused(tx, named);
    return old.length;
  });
}
