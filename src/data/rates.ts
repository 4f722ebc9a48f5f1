import { asc, inArray, sql } from "drizzle-orm";
import { plainName } from "@/core/programs";
import type { Lender } from "@/exchange/rates/rates.schema";
import type { Database } from "./database";
import { lenders } from "./schema";

/** What lenders offer, and what tells this state from another. */
type KeptRates = { lenders: Lender[]; mark: string };

/** What tells one state of the rates from another: no two states have the same, not even one that is as it was before. */
export async function ratesMark(database: Database): Promise<string> {
  const all = sql<string>`coalesce(md5(string_agg(${lenders.key} || ${lenders.mark}, '' order by ${lenders.key})), 'none')`;
  const [row] = await database.select({ all }).from(lenders);
  return row?.all ?? "none";
}

/** All lenders with their programs, in the order in which they came. */
export async function keptRates(database: Database): Promise<KeptRates> {
  const { name, programs, place, key } = lenders;
  return database.transaction(
    async tx => ({
      lenders: await tx.select({ name, programs }).from(lenders).orderBy(asc(place), asc(key)),
      mark: await ratesMark(tx),
    }),
    // Both of one moment.
    { isolationLevel: "repeatable read" },
  );
}

/** What becomes of the rates: lenders that take the place of those of their names, and lenders that go. */
type RatesChange = { put: readonly Lender[]; gone: readonly string[] };

/**
 * Changes what lenders offer.
 *
 * @param mark of the state in view
 * @returns the mark of the state from now on; undefined where another one is
 */
export async function changeRates(
  database: Database,
  mark: string,
  { put, gone }: RatesChange,
): Promise<string | undefined> {
  return database.transaction(async tx => {
    // One change at a time: whoever comes second sees the first one's mark.
    await tx.execute(sql`lock table lenders in share row exclusive mode`);
    if ((await ratesMark(tx)) !== mark) return undefined;
    if (gone.length > 0) await tx.delete(lenders).where(inArray(lenders.key, gone.map(plainName)));
    for (const { name, programs } of put) {
      const key = plainName(name);
      const [last] = await tx
        .select({ place: sql<number>`coalesce(max(${lenders.place}), 0)::int` })
        .from(lenders);
      await tx
        .insert(lenders)
        .values({ key, name, programs, place: (last?.place ?? 0) + 1 })
        .onConflictDoUpdate({ target: lenders.key, set: { name, programs, mark: sql`gen_random_uuid()` } });
    }
    return ratesMark(tx);
  });
}
