import { and, count, eq, inArray, isNotNull, notInArray, type SQL, sql } from "drizzle-orm";
import type { Database } from "./database";
import { insertRows } from "./insert-rows";
import { addJob, doPart } from "./jobs";
import { dropIfUnused, type NamedMember } from "./names";
import { newLine } from "./register-lines";
import { deals, jobs, registerLines } from "./schema";

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
    await addJob(tx, { kind: "showDeals", key: arrival, payload: {} });
    return true;
  });
}

/** Shows some of the deals of an arrival. Gives back how many, and at least 1; 0 once all of all arrivals are shown. */
export async function showArrived(database: Database, most: number): Promise<number> {
  return doPart(database, "showDeals", async (tx, { key, payload }) => {
    // Asked for one by one: joined, the database would read all that there are for a few.
    const some = await tx
      .select({
        dealId: deals.id,
        dealVersion: deals.version,
        changedAt: deals.changedAt,
        customer: nameSigned(sql`customer`, sql`(select name from customers where id = ${deals.customerId})`),
        vehicle: nameSigned(
          sql`vehicle`,
          sql`(select description from vehicles where id = ${deals.vehicleId})`,
        ),
        stockNumber: sql<string | null>`(select stock_number from vehicles where id = ${deals.vehicleId})`,
        status: deals.status,
      })
      .from(deals)
      .where(eq(deals.arrival, key))
      .limit(most);
    const ids = some.map(({ dealId }) => dealId);
    await tx.update(deals).set({ deletedAt: null, arrival: null }).where(inArray(deals.id, ids));
    const lines = some.map(({ customer, vehicle, stockNumber, status, ...deal }) =>
      newLine({ ...deal, heading: { ...named({ customer, vehicle }), stockNumber, status } }),
    );
    // Versions of before kept a line with each deal as it came.
    const shows = sql`on conflict (deal_id) do update set deleted = false`;
    await insertRows(tx, registerLines, lines, shows);
    return { done: Math.max(some.length, 1), rest: some.length < most ? null : payload };
  });
}

/** A name as a deal was signed with it; else as it is now. */
const nameSigned = (column: SQL, now: SQL) =>
  sql<string>`coalesce((select ${column} from signings where deal_id = deals.id), ${now}, '')`;

/** Names for a line of the register, which says nothing of whose they are. */
const named = (names: Record<NamedMember, string>) =>
  Object.fromEntries(
    Object.entries(names).flatMap(([member, name]) => (name ? [[member, { id: "", name }]] : [])),
  );

/**
 * Drops some of the deals of arrivals that never came to be complete, because they were cut off. Gives back how many; 0 once
 * all are gone.
 *
 * @param arrival the one that is meant; all where it is left out, as long as nothing arrives
 */
export async function dropCutOff(database: Database, most: number, arrival?: string): Promise<number> {
  return database.transaction(async tx => {
    const complete = tx
      .select({ id: sql`${jobs.key}::uuid` })
      .from(jobs)
      .where(eq(jobs.kind, "showDeals"));
    const meant = arrival === undefined ? isNotNull(deals.arrival) : eq(deals.arrival, arrival);
    const some = await tx
      .select({ id: deals.id, customerId: deals.customerId, vehicleId: deals.vehicleId })
      .from(deals)
      .where(and(meant, notInArray(deals.arrival, complete)))
      .limit(most);
    for (const { id, ...named } of some) {
      await tx.delete(deals).where(eq(deals.id, id));
      await dropIfUnused(tx, named, "numbered");
    }
    return some.length;
  });
}
