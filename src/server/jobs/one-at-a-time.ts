import type { HeldJob, JobKind } from "@/data/jobs";
import type { Store } from "@/data/store";

/** Whoever is no more is waited for no longer, and whoever is at work says so within it. */
const LEASE_SECONDS = 20;
const SIGN_MS = 5000;

/** There is one of each kind that is always to be seen to. */
const ALL = "all";

/**
 * Does what is always to be seen to, while no other process does the same; where one is killed at it, another goes on.
 *
 * @param again in how many seconds it is to be done again; at any time where it is left out
 * @returns whether it was done; not where another process is at it, or it is not due
 */
export async function oneAtATime(
  store: Store,
  kind: JobKind,
  work: () => Promise<void>,
  again = 0,
): Promise<boolean> {
  if (!(await store.isToBeDone({ kind, key: ALL }))) await store.addJob({ kind, key: ALL, payload: {} });
  let job: HeldJob | undefined = await store.takeJob(kind, LEASE_SECONDS);
  if (!job) return false;
  const sign = setInterval(async () => {
    job = job && (await store.holdJob(job, LEASE_SECONDS).catch(() => job));
  }, SIGN_MS);
  try {
    await work();
  } catch (error) {
    if (job) await store.failJob(job).catch(() => {});
    throw error;
  } finally {
    clearInterval(sign);
  }
  if (job) await store.endJob(job, again);
  return true;
}
