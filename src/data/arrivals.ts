import { and, count, eq, inArray, isNotNull, notInArray } from "drizzle-orm";
import type { Database } from "./database";
import { dropIfUnused } from "./names";
import { arrivals, deals, registerLines } from "./schema";

/**
 * Says that all deals of an arrival are kept: from now on they are there, though they are shown part by part. Many deals are
 * kept in parts, because one long statement keeps everybody waiting; and all of them come in, or none.
 *
 * @returns whether so many of them are there
 */
export async function completeArrival(
  database: Database,
  arrival: string,
  expected: number,
): Promise<boolean> {
  return database.transaction(async tx => {
    const [kept] = await tx.select({ count: count() }).from(deals).where(eq(deals.arrival, arrival));
    if (kept?.count !== expected) return false;
    await tx.insert(arrivals).values({ id: arrival });
    return true;
  });
}

/** Shows some of the deals that have arrived. Gives back how many; 0 once all are shown. */
export async function showArrived(database: Database, most: number): Promise<number> {
  return database.transaction(async tx => {
    const complete = tx.select({ id: arrivals.id }).from(arrivals);
    const some = await tx
      .select({ id: deals.id })
      .from(deals)
      .where(inArray(deals.arrival, complete))
      .limit(most);
    const ids = some.map(({ id }) => id);
    if (ids.length === 0) await tx.delete(arrivals);
    else {
      await tx.update(deals).set({ deletedAt: null, arrival: null }).where(inArray(deals.id, ids));
      await tx.update(registerLines).set({ deleted: false }).where(inArray(registerLines.dealId, ids));
    }
    return ids.length;
  });
}

/**
 * Drops some of the deals of arrivals that never came to be complete, because they were cut off. Gives back how many; 0 once
 * all are gone. Not while anything arrives.
 */
export async function dropCutOff(database: Database, most: number): Promise<number> {
  return database.transaction(async tx => {
    const complete = tx.select({ id: arrivals.id }).from(arrivals);
    const some = await tx
      .select({ id: deals.id, customerId: deals.customerId, vehicleId: deals.vehicleId })
      .from(deals)
      .where(and(isNotNull(deals.arrival), notInArray(deals.arrival, complete)))
      .limit(most);
    for (const { id, ...named } of some) {
      await tx.delete(deals).where(eq(deals.id, id));
      await dropIfUnused(tx, named);
    }
    return some.length;
  });
}
