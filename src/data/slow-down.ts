import { eq, inArray, lt, sql } from "drizzle-orm";
import type { Database } from "./database";
import { failedSignIns } from "./schema-people";

/** So many failures are everybody's; each further one doubles the wait. */
const FREE = 5;
const FIRST_WAIT_S = 30;
const LONGEST_WAIT_S = 15 * 60;
/** After so long without one they are forgotten. */
const FORGOTTEN_S = 30 * 60;

/**
 * How long is to be waited after so many failures.
 *
 * @returns seconds
 * @example waitAfter(4) // 0
 */
export const waitAfter = (failures: number): number =>
  failures < FREE ? 0 : Math.min(FIRST_WAIT_S * 2 ** (failures - FREE), LONGEST_WAIT_S);

/** By what failures are counted: the account, and the address where one is known. */
export const keysOf = (account: string, address: string | null): string[] => [
  `account ${account.toLowerCase().slice(0, 100)}`,
  ...(address === null ? [] : [`address ${address.slice(0, 100)}`]),
];

/**
 * Counts an attempt as failed before it is looked at, so that many at once are not looked at together; one that succeeds is
 * taken back by {@link succeeded}.
 *
 * @returns how many seconds are to be waited first; 0 where it may be looked at
 */
export async function attempt(database: Database, keys: readonly string[], now: Date): Promise<number> {
  return database.transaction(async tx => {
    await tx
      .insert(failedSignIns)
      .values(keys.map(key => ({ key, failures: 0, at: new Date(0) })))
      .onConflictDoNothing();
    const rows = await tx
      .select()
      .from(failedSignIns)
      .where(inArray(failedSignIns.key, [...keys]))
      .orderBy(failedSignIns.key)
      .for("update");
    const known = rows.map(row => ({ ...row, ago: (now.getTime() - row.at.getTime()) / 1000 }));
    const waits = known.map(({ failures, ago }) => waitAfter(failures) - ago);
    const wait = Math.ceil(Math.max(0, ...waits));
    if (wait > 0) return wait;
    for (const { key, failures, ago } of known) {
      const next = ago > FORGOTTEN_S ? 1 : failures + 1;
      await tx.update(failedSignIns).set({ failures: next, at: now }).where(eq(failedSignIns.key, key));
    }
    return 0;
  });
}

/** An attempt was none that failed: the account is free again, the address as it was before. */
export async function succeeded(database: Database, keys: readonly string[]): Promise<void> {
  const [account = "", ...others] = keys;
  await database.delete(failedSignIns).where(eq(failedSignIns.key, account));
  if (others.length > 0)
    await database
      .update(failedSignIns)
      .set({ failures: sql`greatest(${failedSignIns.failures} - 1, 0)` })
      .where(inArray(failedSignIns.key, others));
}

/** Failures that count no more are forgotten. */
export async function forgetOldFailures(database: Database, now: Date): Promise<void> {
  await database
    .delete(failedSignIns)
    .where(lt(failedSignIns.at, new Date(now.getTime() - FORGOTTEN_S * 1000)));
}
