import { and, desc, eq, gte, lt, lte, sql } from "drizzle-orm";
import type { Doing } from "@/exchange/people";
import { askedBy } from "./asked-by";
import type { Database } from "./database";
import { doings } from "./schema-people";

/** The same by the same within so long is one. */
const CLOSE_MS = 60_000;

/** What somebody has done, and of what. */
export type DoingToNote = { what: Doing; of?: string | null };

/** Notes what is done, on whose behalf that is; nothing where nobody has a name. */
export async function noteDoing(database: Database, doing: DoingToNote): Promise<void> {
  const by = askedBy();
  if (by) await noteDoingOf(database, { ...doing, who: by.who, from: by.from, request: by.request });
}

/** The same where it is said who it was: null for a sign-in of nobody. */
export async function noteDoingOf(
  database: Database,
  {
    what,
    of = null,
    who,
    from,
    request,
  }: DoingToNote & { who: string | null; from: string | null; request: string | null },
): Promise<void> {
  const since = new Date(Date.now() - CLOSE_MS).toISOString();
  await database.execute(sql`insert into doings (who, what, "of", "from", request)
    select (select id from people where id = ${who}::uuid), ${what}::text, ${of}::text, ${from}::text, ${request}::text where not exists (
      select 1 from doings where who is not distinct from ${who}::uuid and what = ${what}::text
        and "of" is not distinct from ${of}::text and "from" is not distinct from ${from}::text and at > ${since}::timestamptz)`);
}

/** Which doings are asked for, the latest first. */
export type DoingsAsked = {
  who?: string | null;
  of?: string | null;
  from?: Date | null;
  until?: Date | null;
  /** Those before the last one of the page before. */
  before?: { at: Date; id: string } | null;
  most: number;
};

export type NotedDoing = typeof doings.$inferSelect;

export const findDoings = (
  database: Database,
  { who, of, from, until, before, most }: DoingsAsked,
): Promise<NotedDoing[]> =>
  database
    .select()
    .from(doings)
    .where(
      and(
        who ? eq(doings.who, who) : undefined,
        of ? eq(doings.of, of) : undefined,
        from ? gte(doings.at, from) : undefined,
        until ? lt(doings.at, until) : undefined,
        before
          ? and(
              lte(doings.at, before.at),
              sql`(${doings.at}, ${doings.id}) < (${before.at.toISOString()}::timestamptz, ${before.id}::uuid)`,
            )
          : undefined,
      ),
    )
    .orderBy(desc(doings.at), desc(doings.id))
    .limit(most);

/** Removes what was noted before a day. */
export async function removeOldDoings(database: Database, before: Date): Promise<number> {
  const removed = await database.delete(doings).where(lt(doings.at, before)).returning({ id: doings.id });
  return removed.length;
}
