import { and, asc, eq, isNull, lte, or, type SQL, sql } from "drizzle-orm";
import type { Database } from "./database";
import { type JOB_KINDS, jobs } from "./schema";

type JobKind = (typeof JOB_KINDS)[number];

/** What is still to be done. */
type Job = { kind: JobKind; key: string; payload: unknown };

/** Says that something is to be done; asked for twice, it is done once. */
export async function addJob(tx: Database, job: Job): Promise<void> {
  await tx.insert(jobs).values(job).onConflictDoNothing();
}

/** What a part of a job comes to: how much was done, and what of it is left; null once all is. */
type JobPart = { done: number; rest: unknown };

/** One that has failed waits so long before it is tried again, twice as long each time, and no longer than an hour. */
const FIRST_WAIT_SECONDS = 2;
const LONGEST_WAIT_SECONDS = 3600;

/**
 * Does a part of the oldest job of a kind, all of that part or nothing; whoever else looks for one takes another meanwhile.
 * One whose part fails is put off, so that it keeps no other waiting.
 *
 * @returns how much was done; 0 once nothing of that kind is to be done now
 */
export async function doPart(
  database: Database,
  kind: JobKind,
  part: (tx: Database, job: Job) => Promise<JobPart>,
): Promise<number> {
  let taken: Job | undefined;
  try {
    return await database.transaction(async tx => {
      const [job] = await tx
        .select({ kind: jobs.kind, key: jobs.key, payload: jobs.payload })
        .from(jobs)
        .where(and(eq(jobs.kind, kind), or(isNull(jobs.leaseUntil), lte(jobs.leaseUntil, sql`now()`))))
        .orderBy(asc(jobs.at), asc(jobs.key))
        .limit(1)
        .for("update", { skipLocked: true });
      if (!job) return 0;
      taken = job;
      const { done, rest } = await part(tx, job);
      if (rest === null) await tx.delete(jobs).where(isJob(job));
      else await tx.update(jobs).set({ payload: rest, leaseUntil: null, tries: 0 }).where(isJob(job));
      return done;
    });
  } catch (error) {
    if (taken) await putOff(database, taken).catch(() => {});
    throw error;
  }
}

const isJob = ({ kind, key }: Pick<Job, "kind" | "key">): SQL | undefined =>
  and(eq(jobs.kind, kind), eq(jobs.key, key));

const putOff = (database: Database, job: Job) =>
  database
    .update(jobs)
    .set({
      tries: sql`${jobs.tries} + 1`,
      leaseUntil: sql`now() + make_interval(secs => least(${FIRST_WAIT_SECONDS} * power(2, least(${jobs.tries}, 20)), ${LONGEST_WAIT_SECONDS}))`,
    })
    .where(isJob(job));

/** The jobs of a kind that are still to be done. */
export async function jobsOf(database: Database, kind: JobKind): Promise<Job[]> {
  const { key, payload } = jobs;
  return database.select({ kind: jobs.kind, key, payload }).from(jobs).where(eq(jobs.kind, kind));
}
