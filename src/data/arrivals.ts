import { and, count, eq, inArray, isNotNull, isNull, lt, notInArray, or, type SQL, sql } from "drizzle-orm";
import type { Database } from "./database";
import { insertRows } from "./insert-rows";
import { addJob, doPart, isJob, isToBeDone } from "./jobs";
import { dropIfUnused, type NamedMember } from "./names";
import { newLine } from "./register-lines";
import { deals, jobs, registerLines } from "./schema";

/** How far deals are that are being brought in. */
export type ArrivalStep = {
  step: "reading" | "keeping" | "showing";
  /** So many deals. */
  done: number;
  /** Of so many; null while they are not all read. */
  of: number | null;
};

/** Nobody is bringing deals in any more of whom nothing was heard for so long. */
const SILENT_SECONDS = 30;

const bringing = (arrival: string) => ({ kind: "bringInDeals" as const, key: arrival });

/**
 * Says that deals are being brought in.
 *
 * @returns whether no others are under this id
 */
export async function startArrival(database: Database, arrival: string): Promise<boolean> {
  const payload: ArrivalStep = { step: "reading", done: 0, of: null };
  if (await arrivalStep(database, arrival)) return false;
  return addJob(database, { ...bringing(arrival), payload }, SILENT_SECONDS);
}

/**
 * Tells how far they are.
 *
 * @returns whether they are still to be brought in: "cancelled" where somebody has said that they are not, false where
 *   they were taken to be cut off
 */
export async function tellArrival(
  database: Database,
  arrival: string,
  step: ArrivalStep,
): Promise<boolean | "cancelled"> {
  const isAlive = sql`${jobs.payload} ->> 'isCancelled' is null`;
  const told = await database
    .update(jobs)
    .set({
      payload: step,
      leaseUntil: sql`clock_timestamp() + make_interval(secs => ${SILENT_SECONDS}::float8)`,
    })
    .where(and(isJob(bringing(arrival)), isAlive))
    .returning({ key: jobs.key });
  if (told.length > 0) return true;
  return (await isToBeDone(database, bringing(arrival))) ? "cancelled" : false;
}

/** How far deals are that are being brought in; undefined where none are under this id. */
export async function arrivalStep(database: Database, arrival: string): Promise<ArrivalStep | undefined> {
  const [job] = await database
    .select({ payload: jobs.payload })
    .from(jobs)
    .where(and(inArray(jobs.kind, ["bringInDeals", "showDeals"]), eq(jobs.key, arrival)));
  const { step = "showing", done = 0, of = null } = (job?.payload ?? {}) as Partial<ArrivalStep>;
  return job && { step, done, of };
}

/**
 * Says that deals that are being brought in are to be left.
 *
 * @returns whether they will be: "kept" where all of them are there already, undefined where none are under this id
 */
export async function cancelArrival(database: Database, arrival: string): Promise<true | "kept" | undefined> {
  const cancelled = await database
    .update(jobs)
    .set({ payload: sql`(${jobs.payload}::jsonb || '{"isCancelled":true}'::jsonb)::json` })
    .where(isJob(bringing(arrival)))
    .returning({ key: jobs.key });
  if (cancelled.length > 0) return true;
  return (await arrivalStep(database, arrival)) && "kept";
}

/**
 * Says that all deals of an arrival are kept: from now on they are there, though they are shown part by part. Many deals are
 * kept in parts, because one long statement keeps everybody waiting; and all of them come in, or none.
 *
 * @returns whether so many of them are there, and nobody has said that they are to be left
 */
export async function completeArrival(
  database: Database,
  arrival: string,
  expected: number,
): Promise<boolean> {
  return database.transaction(async tx => {
    const [job] = await tx
      .select({ payload: jobs.payload })
      .from(jobs)
      .where(isJob(bringing(arrival)))
      .for("update");
    if (!job || (job.payload as { isCancelled?: true }).isCancelled) return false;
    const [kept] = await tx.select({ count: count() }).from(deals).where(eq(deals.arrival, arrival));
    if (kept?.count !== expected) return false;
    const payload: ArrivalStep = { step: "showing", done: 0, of: expected };
    await tx.delete(jobs).where(isJob(bringing(arrival)));
    await addJob(tx, { kind: "showDeals", key: arrival, payload });
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
    const { done = 0, of = null } = payload as Partial<ArrivalStep>;
    const told: ArrivalStep = { step: "showing", done: done + some.length, of };
    return { done: Math.max(some.length, 1), rest: some.length < most ? null : told };
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
 * Drops some of the deals of arrivals that never came to be complete, because they were cut off: nothing was heard for long
 * of whoever brought them in. Gives back how many; 0 once all are gone.
 *
 * @param arrival the one that is meant, whoever brings it in; all that were cut off where it is left out
 */
export async function dropCutOff(database: Database, most: number, arrival?: string): Promise<number> {
  return database.transaction(async tx => {
    const dropped =
      arrival === undefined
        ? and(eq(jobs.kind, "bringInDeals"), or(isNull(jobs.leaseUntil), lt(jobs.leaseUntil, sql`now()`)))
        : isJob(bringing(arrival));
    await tx.delete(jobs).where(dropped);
    const going = tx
      .select({ id: sql`${jobs.key}::uuid` })
      .from(jobs)
      .where(inArray(jobs.kind, ["showDeals", "bringInDeals"]));
    const meant = arrival === undefined ? isNotNull(deals.arrival) : eq(deals.arrival, arrival);
    const some = await tx
      .select({ id: deals.id, customerId: deals.customerId, vehicleId: deals.vehicleId })
      .from(deals)
      .where(and(meant, notInArray(deals.arrival, going)))
      .limit(most)
      .for("update", { skipLocked: true });
    for (const { id, ...named } of some) {
      await tx.delete(deals).where(eq(deals.id, id));
      await dropIfUnused(tx, named, "numbered");
    }
    return some.length;
  });
}
