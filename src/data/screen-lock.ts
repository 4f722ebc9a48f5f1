import { and, eq, isNull, sql } from "drizzle-orm";
import type { Visit } from "@/exchange/people";
import { type Database, rowsOf } from "./database";
import { credentials, signIns } from "./schema-people";
import { whoIs } from "./sign-in";
import { signInLibrary } from "./sign-in-library";
import { note } from "./sign-in-parts";
import { attempt, succeeded } from "./slow-down";

/** Somebody is at the keys. */
export async function stillHere(database: Database, signIn: string): Promise<void> {
  await database
    .update(signIns)
    .set({ usedAt: new Date() })
    .where(and(eq(signIns.id, signIn), isNull(signIns.lockedAt)));
}

export async function lockScreen(database: Database, signIn: string): Promise<void> {
  await database
    .update(signIns)
    .set({ lockedAt: new Date() })
    .where(and(eq(signIns.id, signIn), isNull(signIns.lockedAt)));
}

/** So many wrong passwords at a locked screen end its sign-in: nobody else is slowed down by them. */
const MOST_AT_A_SCREEN = 5;

/** Unlocks a screen for whoever has locked it. */
export async function unlockScreen(
  database: Database,
  visit: Visit,
  password: string,
): Promise<{ kind: "in" } | { kind: "wrong"; isOver: boolean }> {
  const who = await whoIs(database, visit);
  if (!who) return { kind: "wrong", isOver: true };
  const { person, signIn: here } = who;
  const key = [`screen ${here.id}`];
  const isFree = (await attempt(database, key, new Date())) === 0;
  if (isFree && (await isPasswordOf(database, visit, person.id, password))) {
    await succeeded(database, key);
    await database.update(signIns).set({ usedAt: new Date(), lockedAt: null }).where(eq(signIns.id, here.id));
    return { kind: "in" };
  }
  await note(database, visit, "signInFailed", null, person.id);
  const failures = await failuresOf(database, key[0] ?? "");
  if (failures < MOST_AT_A_SCREEN) return { kind: "wrong", isOver: false };
  await database.delete(signIns).where(eq(signIns.id, here.id));
  await note(database, visit, "lockedOut", person.id);
  return { kind: "wrong", isOver: true };
}

async function failuresOf(database: Database, key: string): Promise<number> {
  const [row] = await rowsOf<{ failures: number }>(
    database,
    sql`select failures from failed_sign_ins where key = ${key}`,
  );
  return Number(row?.failures ?? 0);
}

async function isPasswordOf(
  database: Database,
  { origin }: Visit,
  person: string,
  password: string,
): Promise<boolean> {
  const { password: passwords } = await (await signInLibrary(database, origin)).$context;
  const hash = await hashOf(database, person);
  return hash !== null && (await passwords.verify({ hash, password }));
}

async function hashOf(database: Database, person: string): Promise<string | null> {
  const [row] = await database
    .select({ hash: credentials.password })
    .from(credentials)
    .where(and(eq(credentials.userId, person), eq(credentials.providerId, "credential")));
  return row?.hash ?? null;
}
