import { randomUUID } from "node:crypto";
import { and, asc, eq, isNull, ne, sql } from "drizzle-orm";
import type { Person, Role } from "@/exchange/people";
import { type Database, rowsOf } from "./database";
import { people, signIns } from "./schema-people";

export const PERSON = {
  id: people.id,
  name: people.name,
  username: people.username,
  roles: people.roles,
  branch: people.branch,
  hasLeft: sql<boolean>`${people.leftAt} is not null`,
  hasCodes: people.twoFactorEnabled,
  hasPassword: sql<boolean>`exists (select 1 from credentials where credentials.user_id = ${people}.id and provider_id = 'credential')`,
};

/** What of a person is settled by an administrator. */
export type PersonSettled = { name: string; username: string; roles: Role[]; branch: string | null };

/** Whether anybody has a name here: from then on everybody needs one. */
export async function hasPeople(database: Database): Promise<boolean> {
  const [row] = await database.select({ id: people.id }).from(people).limit(1);
  return row !== undefined;
}

/** Everybody, who has left too, by name. */
export const listPeople = (database: Database): Promise<Person[]> =>
  database.select(PERSON).from(people).orderBy(asc(people.name), asc(people.id));

export async function personOf(database: Database, id: string): Promise<Person | undefined> {
  const [person] = await database.select(PERSON).from(people).where(eq(people.id, id));
  return person;
}

/** What a change of people is refused for. */
export type PersonRefusal = "taken" | "lastAdministrator" | "notTheFirst" | "gone";

/**
 * Adds somebody, who cannot sign in until a link was used.
 *
 * @param isFirst whether it is only done where there is nobody yet
 */
export async function addPerson(
  database: Database,
  { username, ...settled }: PersonSettled,
  isFirst = false,
): Promise<Person | PersonRefusal> {
  return database.transaction(async tx => {
    await holdPeople(tx);
    if (isFirst && (await hasPeople(tx))) return "notTheFirst";
    const called = username.toLowerCase();
    if (await isTaken(tx, called)) return "taken";
    const id = randomUUID();
    await tx.insert(people).values({
      id,
      ...settled,
      username: called,
      displayUsername: username,
      email: `${id}@kellux.invalid`,
    });
    return (await personOf(tx, id)) ?? "gone";
  });
}

/** Changes what is settled of somebody, and whether they have left: then they are signed out everywhere. */
export async function changePerson(
  database: Database,
  id: string,
  { username, hasLeft, ...settled }: PersonSettled & { hasLeft: boolean },
): Promise<Person | PersonRefusal> {
  return database.transaction(async tx => {
    await holdPeople(tx);
    const called = username.toLowerCase();
    if (await isTaken(tx, called, id)) return "taken";
    const isAdministrator = !hasLeft && settled.roles.includes("administrator");
    if (!isAdministrator && !(await hasOtherAdministrator(tx, id))) return "lastAdministrator";
    await tx
      .update(people)
      .set({
        ...settled,
        username: called,
        displayUsername: username,
        leftAt: hasLeft ? sql`coalesce(${people.leftAt}, now())` : null,
        updatedAt: new Date(),
      })
      .where(eq(people.id, id));
    if (hasLeft) await tx.delete(signIns).where(eq(signIns.userId, id));
    return (await personOf(tx, id)) ?? "gone";
  });
}

/** Nobody else changes who there is, until the transaction is done. */
const holdPeople = (tx: Database) => tx.execute(sql`lock table ${people} in exclusive mode`);

async function isTaken(tx: Database, username: string, besides?: string): Promise<boolean> {
  const other = besides === undefined ? undefined : ne(people.id, besides);
  const [taken] = await tx
    .select({ id: people.id })
    .from(people)
    .where(and(eq(people.username, username), other));
  return taken !== undefined;
}

async function hasOtherAdministrator(tx: Database, besides: string): Promise<boolean> {
  const others = await tx
    .select({ roles: people.roles })
    .from(people)
    .where(and(isNull(people.leftAt), ne(people.id, besides)));
  return others.some(({ roles }) => roles.includes("administrator"));
}

/** The branches that people and deals are of, by name. */
export async function listBranches(database: Database): Promise<string[]> {
  const rows = await rowsOf<{ branch: string }>(
    database,
    sql`select branch from people where branch is not null union select branch from deals where branch is not null order by branch`,
  );
  return rows.map(({ branch }) => branch);
}
