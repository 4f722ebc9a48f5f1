import { createHash, randomBytes } from "node:crypto";
import { and, eq, gt, like } from "drizzle-orm";
import type { Person, Visit } from "@/exchange/people";
import { passwordProblem } from "./common-passwords";
import type { Database } from "./database";
import { addPerson, type PersonRefusal, type PersonSettled, personOf } from "./people";
import { credentials, people, secondFactors, signIns, verifications } from "./schema-people";
import { signIn } from "./sign-in";
import { signInLibrary } from "./sign-in-library";
import { namesOf, note, type SignInAnswer } from "./sign-in-parts";

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
