import { and, asc, eq, inArray, isNotNull, isNull, lte, or, type SQL, sql } from "drizzle-orm";
import { type Database, rowsOf } from "./database";
import { hasMetAnother } from "./failure";
import { type JOB_KINDS, jobs } from "./schema";

export type JobKind = (typeof JOB_KINDS)[number];

/** What is still to be done. */
type Job = { kind: JobKind; key: string; payload: unknown };

/** What tells a job from others. */
type JobName = Pick<Job, "kind" | "key">;

/**
 * Says that something is to be done; asked for twice, it is done once.
 *
 * @param inSeconds nobody takes it up before
 * @returns whether it was not said before
 */
export async function addJob(tx: Database, job: Job, inSeconds = 0): Promise<boolean> {
  const leaseUntil = inSeconds > 0 ? later(inSeconds) : null;
  const added = await tx
    .insert(jobs)
    .values({ ...job, leaseUntil })
    .onConflictDoNothing()
    .returning({ key: jobs.key });
  return added.length > 0;
}

const later = (seconds: number) => sql`clock_timestamp() + make_interval(secs => ${seconds}::float8)`;

/** Nobody is at work on it, and it is not put off. */
const IS_FREE = or(isNull(jobs.leaseUntil), lte(jobs.leaseUntil, sql`clock_timestamp()`));

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
        .where(and(eq(jobs.kind, kind), IS_FREE))
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
    // What only met another is done once more by whoever asked.
    if (taken && !hasMetAnother(error)) await putOff(database, taken).catch(() => {});
    throw error;
  }
}

export const isJob = ({ kind, key }: JobName): SQL | undefined => and(eq(jobs.kind, kind), eq(jobs.key, key));

const putOff = (database: Database, job: JobName) =>
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

/** Whether a job is still to be done, or under way. */
export async function isToBeDone(database: Database, job: JobName): Promise<boolean> {
  const found = await database.select({ key: jobs.key }).from(jobs).where(isJob(job));
  return found.length > 0;
}

/** A job that somebody is at work on, and until when it is theirs, as the database writes it. */
export type HeldJob = Job & { until: string };

/**
 * Takes up the oldest job of a kind for a while: nobody else does meanwhile, and somebody does afterwards unless it was
 * ended, as where whoever took it is no more.
 *
 * @param seconds for how long
 * @returns undefined where none is to be done, or others are at work on all
 */
export async function takeJob(
  database: Database,
  kind: JobKind,
  seconds: number,
): Promise<HeldJob | undefined> {
  const [taken] = await rowsOf<HeldJob>(
    database,
    sql`update jobs set lease_until = ${later(seconds)} where (kind, key) in
      (select kind, key from jobs where kind = ${kind} and (lease_until is null or lease_until <= clock_timestamp())
        order by at, key limit 1 for update skip locked)
      returning kind, key, payload, lease_until::text as until`,
  );
  return taken;
}

/** Holds a job for a while longer; undefined where it is somebody else's by now. */
export async function holdJob(
  database: Database,
  { kind, key, until }: HeldJob,
  seconds: number,
): Promise<HeldJob | undefined> {
  const [held] = await rowsOf<HeldJob>(
    database,
    sql`update jobs set lease_until = ${later(seconds)}
      where kind = ${kind} and key = ${key} and lease_until = ${until}::timestamptz
      returning kind, key, payload, lease_until::text as until`,
  );
  return held;
}

/**
 * Ends a job that is held; one that is somebody else's by now stays.
 *
 * @param again in how many seconds it is to be done again; null where it is done for good
 */
export async function endJob(
  database: Database,
  { kind, key, until }: HeldJob,
  again: number | null,
): Promise<void> {
  const isHeld = and(isJob({ kind, key }), eq(jobs.leaseUntil, sql`${until}::timestamptz`));
  if (again === null) await database.delete(jobs).where(isHeld);
  else
    await database
      .update(jobs)
      .set({ leaseUntil: again > 0 ? later(again) : null, tries: 0 })
      .where(isHeld);
}

/** Puts a job off that was held and has failed. */
export const failJob = async (database: Database, job: HeldJob): Promise<void> => {
  await putOff(database, job);
};

/** Frees jobs of some kinds of whoever was at work on them: nobody is any more. */
export async function freeJobs(database: Database, kinds: readonly JobKind[]): Promise<void> {
  await database
    .update(jobs)
    .set({ leaseUntil: null })
    .where(and(inArray(jobs.kind, [...kinds]), isNotNull(jobs.leaseUntil), eq(jobs.tries, 0)));
}
