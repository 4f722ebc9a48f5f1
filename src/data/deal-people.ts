import { createHash } from "node:crypto";
import { and, asc, eq, exists, isNull, or, type SQL, sql } from "drizzle-orm";
import type { AnyPgColumn } from "drizzle-orm/pg-core";
import type { DealPeople, Person, SeenBy } from "@/exchange/people";
import type { Database } from "./database";
import { NAMED, type NamedMember } from "./names";
import { PERSON } from "./people";
import { dealPeople, deals, vehicles } from "./schema";
import { people } from "./schema-people";

/** Which deals somebody sees; undefined where that is all of them. Those that nobody has are the officers'. */
export function isSeenBy(seenBy: SeenBy | undefined): SQL | undefined {
  if (!seenBy || seenBy.reach === "house") return undefined;
  const { person, branch, reach } = seenBy;
  const worksOn = sql`exists (select 1 from ${dealPeople} where ${dealPeople.dealId} = ${deals.id} and ${dealPeople.personId} = ${person}::uuid)`;
  const own = or(eq(deals.ownerId, person), worksOn);
  if (reach === "own") return own;
  const ofBranch = branch === null ? isNull(deals.branch) : eq(deals.branch, branch);
  return or(own, ofBranch, and(isNull(deals.ownerId), isNull(deals.branch)));
}

/** Whether somebody sees a deal. */
export async function isDealSeen(database: Database, id: string, seenBy: SeenBy): Promise<boolean> {
  const [seen] = await database
    .select({ id: deals.id })
    .from(deals)
    .where(and(eq(deals.id, id), isSeenBy(seenBy)));
  return seen !== undefined;
}

/** Whether somebody sees a customer, or a vehicle: it is in stock, or named by a deal that they see. */
export async function isRecordSeen(
  database: Database,
  member: NamedMember,
  id: string,
  seenBy: SeenBy,
): Promise<boolean> {
  if (member === "vehicle") {
    const [stocked] = await database
      .select({ id: vehicles.id })
      .from(vehicles)
      .where(and(eq(vehicles.id, id), eq(vehicles.inStock, true)));
    if (stocked) return true;
  }
  const [seen] = await database
    .select({ id: deals.id })
    .from(deals)
    .where(and(eq(NAMED[member].inDeal, id), isSeenBy(seenBy)))
    .limit(1);
  return seen !== undefined;
}

/** Whether a deal that somebody sees names what a row of a table is. */
export const isNamedBySeen = (
  database: Database,
  column: (typeof deals)["customerId"] | (typeof deals)["vehicleId"],
  id: AnyPgColumn,
  seenBy: SeenBy | undefined,
): SQL | undefined => {
  const seen = isSeenBy(seenBy);
  return (
    seen &&
    exists(
      database
        .select({ one: sql`1` })
        .from(deals)
        .where(and(sql`${column} = ${id}`, seen)),
    )
  );
};

/** Whose a deal is, and who else works on it; undefined where there is no such deal. */
export async function dealPeopleOf(database: Database, id: string): Promise<DealPeople | undefined> {
  const [deal] = await database
    .select({ owner: deals.ownerId, branch: deals.branch })
    .from(deals)
    .where(eq(deals.id, id));
  if (!deal) return undefined;
  const others = await database
    .select({ who: dealPeople.personId, role: dealPeople.role, percent: dealPeople.percent })
    .from(dealPeople)
    .where(eq(dealPeople.dealId, id))
    .orderBy(asc(dealPeople.personId));
  const settled = { ...deal, people: others };
  return { ...settled, mark: markOf(settled) };
}

const markOf = (settled: Omit<DealPeople, "mark">) =>
  createHash("sha256").update(JSON.stringify(settled)).digest("hex").slice(0, 16);

/**
 * Hands a deal over, and says who works on it.
 *
 * @param mark of the state in view
 * @returns as it is now; undefined where there is no such deal; "changed" where it was another state, "unknown" where somebody
 *   named has left or was never there
 */
export async function keepDealPeople(
  database: Database,
  id: string,
  mark: string,
  { owner, branch, people: named }: Omit<DealPeople, "mark">,
): Promise<DealPeople | "changed" | "unknown" | undefined> {
  return database.transaction(async tx => {
    await tx.select({ id: deals.id }).from(deals).where(eq(deals.id, id)).for("update");
    const kept = await dealPeopleOf(tx, id);
    if (!kept) return undefined;
    if (kept.mark !== mark) return "changed";
    const known = await working(tx);
    const stay = new Set([kept.owner, ...kept.people.map(({ who }) => who)]);
    const isKnown = (who: string) => stay.has(who) || known.some(person => person.id === who);
    if (![...(owner ? [owner] : []), ...named.map(({ who }) => who)].every(isKnown)) return "unknown";
    await tx.update(deals).set({ ownerId: owner, branch }).where(eq(deals.id, id));
    await tx.delete(dealPeople).where(eq(dealPeople.dealId, id));
    if (named.length > 0)
      await tx
        .insert(dealPeople)
        .values(named.map(({ who, role, percent }) => ({ dealId: id, personId: who, role, percent })));
    return dealPeopleOf(tx, id);
  });
}

/** Who works here now. */
const working = (database: Database): Promise<Person[]> =>
  database.select(PERSON).from(people).where(isNull(people.leftAt));

/** Whose a number of deals are, by the deal's id. */
export async function ownersOf(
  database: Database,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Pick<DealPeople, "owner" | "branch" | "people">>> {
  if (ids.length === 0) return new Map();
  const among = sql`any(${`{${ids.join(",")}}`}::uuid[])`;
  const owned = await database
    .select({ id: deals.id, owner: deals.ownerId, branch: deals.branch })
    .from(deals)
    .where(sql`${deals.id} = ${among}`);
  const shares = await database.select().from(dealPeople).where(sql`${dealPeople.dealId} = ${among}`);
  return new Map(
    owned.map(({ id, ...deal }) => [
      id,
      {
        ...deal,
        people: shares
          .filter(({ dealId }) => dealId === id)
          .map(({ personId, role, percent }) => ({ who: personId, role, percent })),
      },
    ]),
  );
}
