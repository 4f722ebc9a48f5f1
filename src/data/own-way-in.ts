import type { Doing, Person, Visit } from "@/exchange/people";
import { passwordProblem } from "./common-passwords";
import type { Database } from "./database";
import { whoIs } from "./sign-in";
import { type SignInLibrary, signInLibrary } from "./sign-in-library";
import { asked, headersOf, namesOf, note, type SignInAnswer } from "./sign-in-parts";
import { attempt, keysOf, succeeded } from "./slow-down";

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
