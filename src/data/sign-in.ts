import { and, eq, isNull, lt, sql } from "drizzle-orm";
import type { SignedIn, Visit } from "@/exchange/people";
import type { Database } from "./database";
import { PERSON } from "./people";
import { people, signIns, verifications } from "./schema-people";
import { signInLibrary } from "./sign-in-library";
import { asked, headersOf, note, type SignInAnswer } from "./sign-in-parts";
import { attempt, forgetOldFailures, keysOf, succeeded } from "./slow-down";

/** Signs somebody in by name and password. Nothing says which of the two was wrong. */
export async function signIn(
  database: Database,
  visit: Visit,
  username: string,
  password: string,
): Promise<SignInAnswer> {
  const keys = keysOf(username, visit.address);
  const seconds = await attempt(database, keys, new Date());
  if (seconds > 0) return { kind: "slow", seconds };
  const { api } = await signInLibrary(database, visit.origin);
  const response = await asked(() =>
    api.signInUsername({ body: { username, password }, headers: headersOf(visit), asResponse: true }),
  );
  const id = await idOf(database, username);
  if (!response?.ok) {
    await note(database, visit, "signInFailed", null, id);
    return { kind: "wrong" };
  }
  await succeeded(database, keys);
  return entered(database, visit, response, id);
}

/** The second step: a one-time code, or one of the recovery codes. */
export async function giveCode(database: Database, visit: Visit, code: string): Promise<SignInAnswer> {
  const { api } = await signInLibrary(database, visit.origin);
  const given = { headers: headersOf(visit), asResponse: true as const };
  const plain = code.replace(/\s/g, "");
  const response = /^\d{6}$/.test(plain)
    ? await asked(() => api.verifyTOTP({ body: { code: plain }, ...given }))
    : await asked(() => api.verifyBackupCode({ body: { code: plain }, ...given }));
  if (!response?.ok) {
    await note(database, visit, "signInFailed", null, null);
    return { kind: "wrong" };
  }
  return entered(database, visit, response, null);
}

/** Whoever comes in: an id of a sign-in is new each time. */
async function entered(
  database: Database,
  visit: Visit,
  response: Response,
  id: string | null,
): Promise<SignInAnswer> {
  const cookies = response.headers.getSetCookie();
  const body = (await response.json()) as { twoFactorRedirect?: boolean; user?: { id: string } };
  if (body.twoFactorRedirect) return { kind: "code", cookies };
  const person = body.user?.id ?? id;
  if (!person) return { kind: "wrong" };
  await dropOver(database);
  await note(database, visit, "signedIn", person);
  return { kind: "in", cookies, person };
}

/** Who asks, by the cookie; undefined where that is nobody, or what it names is over. */
export async function whoIs(database: Database, visit: Visit): Promise<SignedIn | undefined> {
  const { api } = await signInLibrary(database, visit.origin);
  const found = await api.getSession({ headers: headersOf(visit) }).catch(async () => {
    // Where the database is away, that is said: nobody is signed out by it.
    await database.execute(sql`select 1`);
    return null;
  });
  if (!found) return undefined;
  const [row] = await database
    .select({
      person: PERSON,
      signIn: { id: signIns.id, usedAt: signIns.usedAt, lockedAt: signIns.lockedAt },
    })
    .from(signIns)
    .innerJoin(people, eq(people.id, signIns.userId))
    .where(and(eq(signIns.id, found.session.id), isNull(people.leftAt)));
  return row;
}

/** Ends a sign-in; whoever has its cookie is nobody from then on. */
export async function signOut(database: Database, visit: Visit): Promise<string[]> {
  const who = await whoIs(database, visit);
  const { api } = await signInLibrary(database, visit.origin);
  const response = await asked(() => api.signOut({ headers: headersOf(visit), asResponse: true }));
  if (who) {
    await database.delete(signIns).where(eq(signIns.id, who.signIn.id));
    await note(database, visit, "signedOut", who.person.id);
  }
  return response?.headers.getSetCookie() ?? [];
}

/** Ends all sign-ins of somebody. */
export async function signOutEverywhere(database: Database, person: string): Promise<void> {
  await database.delete(signIns).where(eq(signIns.userId, person));
}

/** Clears away what is over. */
async function dropOver(database: Database): Promise<void> {
  const now = new Date();
  await database.delete(signIns).where(lt(signIns.expiresAt, now));
  await database.delete(verifications).where(lt(verifications.expiresAt, now));
  await forgetOldFailures(database, now);
}

async function idOf(database: Database, username: string): Promise<string | null> {
  const [row] = await database
    .select({ id: people.id })
    .from(people)
    .where(eq(people.username, username.toLowerCase()));
  return row?.id ?? null;
}
