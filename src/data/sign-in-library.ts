import { randomBytes, randomUUID } from "node:crypto";
import { and, eq, isNotNull } from "drizzle-orm";
import type { Database } from "./database";
import { DIRECTORY, type Directory, directoryOf } from "./directory";
import { credentials, houseSecrets, people, secondFactors, signIns, verifications } from "./schema-people";

/** The shortest password, and the longest that is hashed. */
export const SHORTEST_PASSWORD = 12;
export const LONGEST_PASSWORD = 128;

/** A working day. */
const LASTS_S = 12 * 3600;
/** For so long a code is waited for after a password. */
const FOR_A_CODE_S = 5 * 60;

/** Loaded once somebody has a name: it takes half a second, which a desk of one need not wait for. */
async function load(database: Database, origin: string) {
  const directory = directoryOf();
  const [{ betterAuth }, { drizzleAdapter }, { username, twoFactor, genericOAuth }, secret] =
    await Promise.all([
      import("better-auth/minimal"),
      import("better-auth/adapters/drizzle"),
      import("better-auth/plugins"),
      houseSecret(database),
    ]);
  return betterAuth({
    appName: "Kellux",
    baseURL: origin,
    basePath: "/api/sign-in",
    secret,
    database: drizzleAdapter(database, {
      provider: "pg",
      schema: {
        user: people,
        session: signIns,
        account: credentials,
        verification: verifications,
        twoFactor: secondFactors,
      },
    }),
    emailAndPassword: {
      enabled: true,
      disableSignUp: true,
      minPasswordLength: SHORTEST_PASSWORD,
      maxPasswordLength: LONGEST_PASSWORD,
    },
    session: { expiresIn: LASTS_S, disableSessionRefresh: true, freshAge: LASTS_S },
    account: {
      encryptOAuthTokens: true,
      // A person is made by an administrator before, and known in the directory by the same name.
      accountLinking: { enabled: true, trustedProviders: [DIRECTORY], requireLocalEmailVerified: false },
    },
    // The same table holds both, and failures are counted before anything is hashed.
    rateLimit: { enabled: false },
    telemetry: { enabled: false },
    logger: { disabled: true },
    advanced: {
      cookiePrefix: "kellux",
      useSecureCookies: origin.startsWith("https:"),
      defaultCookieAttributes: { httpOnly: true, sameSite: "lax" },
      database: { generateId: () => randomUUID() },
      ipAddress: { ipAddressHeaders: [ADDRESS_HEADER] },
    },
    databaseHooks: {
      // Whatever way somebody comes by: who has left does not come in.
      session: { create: { before: async ({ userId }) => !(await hasLeft(database, userId)) } },
    },
    plugins: [
      username({ minUsernameLength: 1, maxUsernameLength: 60, usernameValidator: () => true }),
      twoFactor({ issuer: "Kellux", twoFactorCookieMaxAge: FOR_A_CODE_S }),
      ...(directory ? [genericOAuth({ config: [providerOf(database, directory)] })] : []),
    ],
  });
}

/** The house's directory, as the library asks it: nobody comes in by it whom no administrator has made. */
const providerOf = (database: Database, { issuer, client, secret }: Directory) => ({
  providerId: DIRECTORY,
  discoveryUrl: `${issuer.replace(/\/$/, "")}/.well-known/openid-configuration`,
  clientId: client,
  ...(secret !== undefined && { clientSecret: secret }),
  scopes: ["openid", "profile"],
  pkce: true,
  requireIssuerValidation: true,
  disableSignUp: true,
  mapProfileToUser: async (profile: Record<string, unknown>) => ({
    email: await emailOf(database, String(profile.preferred_username ?? "")),
    emailVerified: true,
  }),
});

/** By which a person is found who signs in by the same name here. */
async function emailOf(database: Database, username: string): Promise<string> {
  const [person] = await database
    .select({ email: people.email })
    .from(people)
    .where(eq(people.username, username.toLowerCase()));
  return person?.email ?? "nobody@kellux.invalid";
}

/** By which the library is told the address that the edge has seen. */
export const ADDRESS_HEADER = "x-kellux-address";

export type SignInLibrary = Awaited<ReturnType<typeof load>>;

const loaded = new WeakMap<Database, Map<string, Promise<SignInLibrary>>>();

/** The library that signs people in, over a database. */
export function signInLibrary(database: Database, origin: string): Promise<SignInLibrary> {
  const ofDatabase = loaded.get(database) ?? new Map<string, Promise<SignInLibrary>>();
  loaded.set(database, ofDatabase);
  const library = ofDatabase.get(origin) ?? load(database, origin);
  ofDatabase.set(origin, library);
  // What failed is tried anew.
  library.catch(() => ofDatabase.delete(origin));
  return library;
}

async function hasLeft(database: Database, id: string): Promise<boolean> {
  const [left] = await database
    .select({ id: people.id })
    .from(people)
    .where(and(eq(people.id, id), isNotNull(people.leftAt)));
  return left !== undefined;
}

const SIGNING = "signing";

/** What cookies are signed with and codes encrypted: the same for every process. */
async function houseSecret(database: Database): Promise<string> {
  await database
    .insert(houseSecrets)
    .values({ name: SIGNING, value: randomBytes(32).toString("base64url") })
    .onConflictDoNothing();
  const [kept] = await database
    .select({ value: houseSecrets.value })
    .from(houseSecrets)
    .where(eq(houseSecrets.name, SIGNING));
  return kept?.value ?? "";
}
