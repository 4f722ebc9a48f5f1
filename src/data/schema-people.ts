import { boolean, index, integer, json, pgTable, text, timestamp, uuid } from "drizzle-orm/pg-core";
import type { Role } from "@/exchange/people";

const moment = () => timestamp({ withTimezone: true, mode: "date" });

/** Who works here. Nobody is removed: what they did names them. */
export const people = pgTable("people", {
  id: uuid().primaryKey().defaultRandom(),
  /** What they are called on screens and papers. */
  name: text().notNull(),
  /** What they sign in by, in small letters. */
  username: text().notNull().unique(),
  displayUsername: text(),
  /** The library wants one of everybody; nothing is ever sent there. */
  email: text().notNull().unique(),
  emailVerified: boolean().notNull().default(false),
  image: text(),
  twoFactorEnabled: boolean().notNull().default(false),
  roles: json().$type<Role[]>().notNull().default([]),
  /** The branch that they work in; null where the house has one. */
  branch: text(),
  /** Who has left signs in no more. */
  leftAt: moment(),
  createdAt: moment().notNull().defaultNow(),
  updatedAt: moment().notNull().defaultNow(),
});

const ofPerson = () =>
  uuid()
    .notNull()
    .references(() => people.id, { onDelete: "cascade" });

/** Who is signed in where, until when. */
export const signIns = pgTable(
  "sign_ins",
  {
    id: uuid().primaryKey().defaultRandom(),
    userId: ofPerson(),
    token: text().notNull().unique(),
    expiresAt: moment().notNull(),
    /** When somebody was last seen at the keys. */
    usedAt: moment().notNull().defaultNow(),
    /** Since when its screen is locked; null while it is not. */
    lockedAt: moment(),
    ipAddress: text(),
    userAgent: text(),
    createdAt: moment().notNull().defaultNow(),
    updatedAt: moment().notNull().defaultNow(),
  },
  ({ userId }) => [index("sign_ins_person").on(userId)],
);

/** What each signs in by: a password, hashed, or who they are in the house's directory. */
export const credentials = pgTable(
  "credentials",
  {
    id: uuid().primaryKey().defaultRandom(),
    userId: ofPerson(),
    accountId: text().notNull(),
    providerId: text().notNull(),
    password: text(),
    accessToken: text(),
    refreshToken: text(),
    idToken: text(),
    accessTokenExpiresAt: moment(),
    refreshTokenExpiresAt: moment(),
    scope: text(),
    createdAt: moment().notNull().defaultNow(),
    updatedAt: moment().notNull().defaultNow(),
  },
  ({ userId }) => [index("credentials_person").on(userId)],
);

/** What is waited for: a code after a password, an answer of the directory, a one-time link. */
export const verifications = pgTable(
  "verifications",
  {
    id: uuid().primaryKey().defaultRandom(),
    identifier: text().notNull(),
    value: text().notNull(),
    expiresAt: moment().notNull(),
    createdAt: moment().notNull().defaultNow(),
    updatedAt: moment().notNull().defaultNow(),
  },
  ({ identifier }) => [index("verifications_identifier").on(identifier)],
);

/** What one-time codes and recovery codes follow from, encrypted. */
export const secondFactors = pgTable(
  "second_factors",
  {
    id: uuid().primaryKey().defaultRandom(),
    userId: ofPerson(),
    secret: text().notNull(),
    backupCodes: text().notNull(),
    verified: boolean().notNull().default(true),
    failedVerificationCount: integer().notNull().default(0),
    lockedUntil: moment(),
  },
  ({ userId }) => [index("second_factors_person").on(userId)],
);

/** Sign-ins that failed, by account and by address. */
export const failedSignIns = pgTable("failed_sign_ins", {
  /** "account maren" or "address 192.0.2.7". */
  key: text().primaryKey(),
  failures: integer().notNull(),
  at: moment().notNull(),
});

/** What the house signs and encrypts with: made once, and kept with the rest. */
export const houseSecrets = pgTable("house_secrets", {
  name: text().primaryKey(),
  value: text().notNull(),
});

/** Who did what, and when, and from where: rows are added, and removed when they are too old; nothing changes one. */
export const doings = pgTable(
  "doings",
  {
    id: uuid().primaryKey().defaultRandom(),
    /** As exact as what reads it: a page begins after the last line of the one before. */
    at: timestamp({ withTimezone: true, mode: "date", precision: 3 }).notNull().defaultNow(),
    /** Null where nobody is signed in: a sign-in that failed, or a command on the server itself. */
    who: uuid().references(() => people.id),
    what: text().notNull(),
    /** Of what: a deal, a person, a paper, by its id or a word of ours; never a customer's text. */
    of: text(),
    from: text(),
    /** The request that it was, as the log has it. */
    request: text(),
  },
  table => [index("doings_at").on(table.at), index("doings_of").on(table.of, table.at)],
);
