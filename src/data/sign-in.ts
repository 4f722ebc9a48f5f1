import { createHash, randomBytes } from "node:crypto";
import { and, eq, gt, isNull, like, lt, sql } from "drizzle-orm";
import type { Doing, Person, SignedIn, Visit } from "@/exchange/people";
import { passwordProblem } from "./common-passwords";
import type { Database } from "./database";
import { DIRECTORY } from "./directory";
import { noteDoingOf } from "./doings";
import { addPerson, PERSON, type PersonRefusal, type PersonSettled, personOf } from "./people";
import { credentials, people, secondFactors, signIns, verifications } from "./schema-people";
import { ADDRESS_HEADER, type SignInLibrary, signInLibrary } from "./sign-in-library";
import { attempt, forgetOldFailures, keysOf, succeeded } from "./slow-down";

/** What came of an attempt, with the cookies that the browser is to keep. */
export type SignInAnswer =
  | { kind: "in"; cookies: string[]; person: string }
  /** The password is right; a code is asked for. */
  | { kind: "code"; cookies: string[] }
  | { kind: "wrong" }
  /** Too many failed: so many seconds are to be waited. */
  | { kind: "slow"; seconds: number }
  /** A password that is not taken, and why. */
  | { kind: "refused"; sentence: string };

const headersOf = ({ cookie, address, agent }: Visit) =>
  new Headers({
    ...(cookie && { cookie }),
    ...(agent && { "user-agent": agent }),
    ...(address && { [ADDRESS_HEADER]: address }),
  });

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
  const { rows } = (await database.execute(
    sql`select failures from failed_sign_ins where key = ${key}`,
  )) as unknown as { rows: { failures: number }[] };
  return Number(rows[0]?.failures ?? 0);
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

/** What is asked of the library with the password said again: counted like a sign-in, for a cookie may be stolen. */
async function withPassword<Answer>(
  database: Database,
  visit: Visit,
  ask: (library: SignInLibrary["api"], headers: Headers) => Promise<Answer>,
): Promise<{ answer: Answer; person: Person } | Extract<SignInAnswer, { kind: "wrong" | "slow" }>> {
  const who = await whoIs(database, visit);
  if (!who) return { kind: "wrong" };
  const keys = keysOf(who.person.username, visit.address);
  const seconds = await attempt(database, keys, new Date());
  if (seconds > 0) return { kind: "slow", seconds };
  const { api } = await signInLibrary(database, visit.origin);
  const answer = await asked(() => ask(api, headersOf(visit)));
  if (answer === undefined || (answer instanceof Response && !answer.ok)) return { kind: "wrong" };
  await succeeded(database, keys);
  return { answer, person: who.person };
}

/** Changes somebody's own password; all their other sign-ins end. */
export async function changePassword(
  database: Database,
  visit: Visit,
  old: string,
  next: string,
): Promise<SignInAnswer> {
  const who = await whoIs(database, visit);
  const sentence = who && (await passwordProblem(next, namesOf(who.person)));
  if (sentence) return { kind: "refused", sentence };
  const changed = await withPassword(database, visit, (api, headers) =>
    api.changePassword({
      body: { currentPassword: old, newPassword: next, revokeOtherSessions: true },
      headers,
      asResponse: true,
    }),
  );
  return "kind" in changed ? changed : stillIn(database, visit, changed, "changedPassword");
}

async function stillIn(
  database: Database,
  visit: Visit,
  { answer, person }: { answer: Response; person: Person },
  what: Doing,
): Promise<SignInAnswer> {
  await note(database, visit, what, person.id);
  return { kind: "in", cookies: answer.headers.getSetCookie(), person: person.id };
}

const namesOf = ({ name, username }: Pick<Person, "name" | "username">) => [username, ...name.split(/\s+/)];

/** What one-time codes are set up with: the address that a program for them reads, and the recovery codes. */
type CodesBegun = { kind: "begun"; address: string; recovery: string[] };

/** Begins one-time codes; they count from when the first was given. */
export async function beginCodes(
  database: Database,
  visit: Visit,
  password: string,
): Promise<CodesBegun | SignInAnswer> {
  const begun = await withPassword(database, visit, (api, headers) =>
    api.enableTwoFactor({ body: { password }, headers }),
  );
  if ("kind" in begun) return begun;
  const { answer } = begun;
  if (!("totpURI" in answer && answer.totpURI)) return { kind: "wrong" };
  return { kind: "begun", address: answer.totpURI, recovery: answer.backupCodes ?? [] };
}

/** The first code, by which they are seen to work. */
export async function confirmCodes(database: Database, visit: Visit, code: string): Promise<SignInAnswer> {
  const confirmed = await withPassword(database, visit, (api, headers) =>
    api.verifyTOTP({ body: { code: code.replace(/\s/g, "") }, headers, asResponse: true }),
  );
  return "kind" in confirmed ? confirmed : stillIn(database, visit, confirmed, "changedCodes");
}

/** Ends one-time codes. */
export async function endCodes(database: Database, visit: Visit, password: string): Promise<SignInAnswer> {
  const ended = await withPassword(database, visit, (api, headers) =>
    api.disableTwoFactor({ body: { password }, headers, asResponse: true }),
  );
  return "kind" in ended ? ended : stillIn(database, visit, ended, "changedCodes");
}

/** Where the directory is asked who somebody is, with the cookies that the answer is held against. */
export async function beginByDirectory(
  database: Database,
  visit: Visit,
  to: string,
): Promise<{ address: string; cookies: string[] } | undefined> {
  const { api } = await signInLibrary(database, visit.origin);
  const response = await asked(() =>
    api.signInSocial({
      body: { provider: DIRECTORY, callbackURL: to, errorCallbackURL: "/sign-in" },
      headers: headersOf(visit),
      asResponse: true,
    }),
  );
  const { url } = response?.ok ? ((await response.json()) as { url?: string }) : {};
  return url ? { address: url, cookies: response?.headers.getSetCookie() ?? [] } : undefined;
}

/**
 * Takes what the directory has answered.
 *
 * @param query of the address that it has sent the browser back to
 * @returns where the browser goes on: inside, or to the way in with what was wrong
 */
export async function enterByDirectory(
  database: Database,
  visit: Visit,
  query: string,
): Promise<{ address: string; cookies: string[] }> {
  const { handler } = await signInLibrary(database, visit.origin);
  const request = new Request(`${visit.origin}/api/sign-in/callback/${DIRECTORY}?${query}`, {
    headers: headersOf(visit),
  });
  const response = await handler(request);
  const cookies = response.headers.getSetCookie();
  const entered = await whoIs(database, { ...visit, cookie: cookiesSent(cookies) });
  if (entered) await note(database, visit, "signedIn", entered.person.id);
  else await note(database, visit, "signInFailed", null);
  const location = response.headers.get("location") ?? "/sign-in";
  return { address: entered ? location : "/sign-in?why=directory", cookies };
}

/** What a browser would send back of cookies. */
const cookiesSent = (cookies: readonly string[]) => cookies.map(each => each.split(";")[0] ?? "").join("; ");

const LINK = "link ";
const LINK_LASTS_MS = 24 * 3600 * 1000;

const nameOfLink = (secret: string) => `${LINK}${createHash("sha256").update(secret).digest("hex")}`;

/** Makes a link by which somebody sets a password, once, within a day; one that was made before is no good any more. */
export async function makeLink(database: Database, person: string): Promise<string> {
  const secret = randomBytes(24).toString("base64url");
  await database.transaction(async tx => {
    await tx
      .delete(verifications)
      .where(and(like(verifications.identifier, `${LINK}%`), eq(verifications.value, person)));
    await tx.insert(verifications).values({
      identifier: nameOfLink(secret),
      value: person,
      expiresAt: new Date(Date.now() + LINK_LASTS_MS),
    });
  });
  return secret;
}

/** Whose a link is; undefined where it was used, or is too old. */
export async function personOfLink(database: Database, secret: string): Promise<Person | undefined> {
  const [row] = await database
    .select({ person: verifications.value })
    .from(verifications)
    .where(and(eq(verifications.identifier, nameOfLink(secret)), gt(verifications.expiresAt, new Date())));
  const person = row && (await personOf(database, row.person));
  return person?.hasLeft ? undefined : person;
}

/** Sets a password by a link: whoever was signed in as that person is so no more, and codes are begun anew. */
export async function takeLink(
  database: Database,
  visit: Visit,
  secret: string,
  password: string,
): Promise<SignInAnswer> {
  const person = await personOfLink(database, secret);
  if (!person) return { kind: "wrong" };
  const sentence = await passwordProblem(password, namesOf(person));
  if (sentence) return { kind: "refused", sentence };
  const isUsed = await setPassword(database, visit, person.id, password, nameOfLink(secret));
  if (!isUsed) return { kind: "wrong" };
  await note(database, visit, "usedLink", person.id);
  return signIn(database, visit, person.username, password);
}

/** Makes the first person, who from then on signs in: with a password, or not at all. */
export async function makeFirst(
  database: Database,
  visit: Visit,
  settled: PersonSettled,
  password: string,
): Promise<SignInAnswer | PersonRefusal> {
  const sentence = await passwordProblem(password, namesOf(settled));
  if (sentence) return { kind: "refused", sentence };
  const { password: passwords } = await (await signInLibrary(database, visit.origin)).$context;
  const hash = await passwords.hash(password);
  const added = await database.transaction(async tx => {
    const person = await addPerson(tx, settled, true);
    if (typeof person !== "string") await keepHash(tx, person.id, hash);
    return person;
  });
  return typeof added === "string" ? added : signIn(database, visit, settled.username, password);
}

const keepHash = (tx: Database, person: string, password: string) =>
  tx.insert(credentials).values({ userId: person, accountId: person, providerId: "credential", password });

async function setPassword(
  database: Database,
  { origin }: Pick<Visit, "origin">,
  person: string,
  password: string,
  link: string,
): Promise<boolean> {
  const { password: passwords } = await (await signInLibrary(database, origin)).$context;
  const hash = await passwords.hash(password);
  return database.transaction(async tx => {
    const used = await tx.delete(verifications).where(eq(verifications.identifier, link)).returning();
    if (used.length === 0) return false;
    await tx
      .delete(credentials)
      .where(and(eq(credentials.userId, person), eq(credentials.providerId, "credential")));
    await keepHash(tx, person, hash);
    await tx.delete(secondFactors).where(eq(secondFactors.userId, person));
    await tx.update(people).set({ twoFactorEnabled: false }).where(eq(people.id, person));
    await tx.delete(signIns).where(eq(signIns.userId, person));
    return true;
  });
}

/** Clears away what is over. */
async function dropOver(database: Database): Promise<void> {
  const now = new Date();
  await database.delete(signIns).where(lt(signIns.expiresAt, now));
  await database.delete(verifications).where(lt(verifications.expiresAt, now));
  await forgetOldFailures(database, now);
}

const note = (database: Database, visit: Visit, what: Doing, who: string | null, of: string | null = null) =>
  noteDoingOf(database, { what, who, of, from: visit.address, request: null });

async function idOf(database: Database, username: string): Promise<string | null> {
  const [row] = await database
    .select({ id: people.id })
    .from(people)
    .where(eq(people.username, username.toLowerCase()));
  return row?.id ?? null;
}

/** What the library has no answer to, it throws: to whoever asks it is the same as wrong. A database that is away is not. */
async function asked<Answer>(ask: () => Promise<Answer>): Promise<Answer | undefined> {
  try {
    return await ask();
  } catch (error) {
    if (error instanceof Error && error.name === "APIError") return undefined;
    throw error;
  }
}
