import { sql } from "drizzle-orm";
import {
  type AnyPgColumn,
  bigint,
  boolean,
  check,
  customType,
  index,
  integer,
  json,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  unique,
  uuid,
} from "drizzle-orm/pg-core";
import {
  type Asides,
  DEAL_STATUSES,
  type DealDocument,
  type DealUse,
  type Difference,
} from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import type { Dealer } from "@/exchange/dealer";
import type { EarnedFigures } from "@/exchange/income/earned-figures";
import type { RegisterKind } from "@/exchange/option-words";
import { RELEASE_KINDS } from "@/exchange/people";
import type { Place } from "@/exchange/place/places";
import type { Lender } from "@/exchange/rates/rates.schema";
import type { Settings, SettingsDealer } from "@/exchange/settings";
import type { Condition, VehicleKind } from "@/exchange/stock/vehicle-words";
import { people } from "./schema-people";

const bytea = customType<{ data: Uint8Array }>({ dataType: () => "bytea" });

/** Finds names by how they begin, whatever their capitals. */
const beginnings = (name: string, column: AnyPgColumn) =>
  index(name).using("btree", sql`lower(${column}) text_pattern_ops`);

export const customers = pgTable(
  "customers",
  {
    id: uuid().primaryKey().defaultRandom(),
    /** Two of one name are two. */
    name: text().notNull(),
  },
  ({ name }) => [beginnings("customers_beginnings", name)],
);

export const vehicles = pgTable(
  "vehicles",
  {
    id: uuid().primaryKey().defaultRandom(),
    /** Maker and model, as the officer calls it; or what a deal is for. */
    description: text().notNull(),
    /** What the house calls it by. */
    stockNumber: text().unique(),
    kind: text().$type<VehicleKind>(),
    condition: text().$type<Condition>(),
    modelYear: smallint(),
    distance: integer(),
    distanceUnit: text().$type<"km" | "mi">(),
    /** What the maker has stamped into it. */
    identification: text(),
    /** The asking price in minor units of the currency, where it is known. */
    priceMinor: bigint({ mode: "number" }),
    /** What it cost the dealer, and the maker's list price, in minor units. */
    costMinor: bigint({ mode: "number" }),
    listPriceMinor: bigint({ mode: "number" }),
    /** What was invoiced for it, which the dealer alone sees. */
    invoiceMinor: bigint({ mode: "number" }),
    /** What a guide says that it is worth, which guide, and of what day (ISO 8601). */
    bookValueMinor: bigint({ mode: "number" }),
    bookGuide: text(),
    bookDate: text(),
    currency: text().notNull().default("USD"),
    /** Whether it can be sold, with a price or without one yet; else it is kept for as long as a deal names it. */
    inStock: boolean().notNull().default(false),
    /** Goes up by one at each change of what it is in stock; a change names the version in view. */
    version: integer().notNull().default(1),
  },
  ({ description, stockNumber }) => [
    beginnings("vehicles_beginnings", description),
    beginnings("vehicles_stock_numbers", stockNumber),
  ],
);

export const deals = pgTable(
  "deals",
  {
    id: uuid().primaryKey().defaultRandom(),
    customerId: uuid().references(() => customers.id),
    vehicleId: uuid().references(() => vehicles.id),
    status: text({ enum: DEAL_STATUSES }).notNull().default("quoting"),
    /** What the customer can pay a month, as typed; null where it was not said. */
    budget: text(),
    notes: text(),
    /** Whose law counts, by ISO 3166-1; null where it was not said. */
    place: text().$type<Place>(),
    /** What it is for; null where it was not said. */
    use: text().$type<DealUse>(),
    /** The id of the option that is chosen. */
    chosen: uuid().notNull(),
    /** Goes up by one at each save; a save names the version it was made from. */
    version: integer().notNull().default(1),
    /** The version at which the customer, the vehicle or the status last changed. */
    headingVersion: integer().notNull().default(1),
    /** The version at which it last changed which options there are, their order, or which is chosen. */
    orderVersion: integer().notNull().default(1),
    changedAt: timestamp({ withTimezone: true, mode: "date" }).notNull().defaultNow(),
    /** A deleted deal is kept, so that deleting can be undone. */
    deletedAt: timestamp({ withTimezone: true, mode: "date" }),
    /** With which others it is being brought in; until then it is kept as a deleted one. */
    arrival: uuid(),
    /** Whose deal it is, and in which branch; null of one that nobody has, or that is of before there were people. */
    ownerId: uuid().references(() => people.id),
    branch: text(),
  },
  table => [
    index("deals_changed_at").on(table.changedAt),
    // A desk without names has no entry in it.
    index("deals_owner").on(table.ownerId).where(sql`${table.ownerId} is not null`),
    index("deals_customer").on(table.customerId),
    index("deals_vehicle").on(table.vehicleId),
    index("deals_arrival").on(table.arrival).where(sql`${table.arrival} is not null`),
    check("deals_status", sql`${table.status} in ('quoting', 'agreed', 'signed', 'lost')`),
  ],
);

/** Who else works on a deal, as what, and the percent of its income that is theirs. */
export const dealPeople = pgTable(
  "deal_people",
  {
    dealId: uuid()
      .notNull()
      .references(() => deals.id, { onDelete: "cascade" }),
    personId: uuid()
      .notNull()
      .references(() => people.id),
    role: text().notNull(),
    percent: text().notNull(),
  },
  table => [
    primaryKey({ columns: [table.dealId, table.personId] }),
    index("deal_people_person").on(table.personId),
  ],
);

/** What a manager has released of a deal, and why: that it is reopened, or signed all the same. */
export const releases = pgTable(
  "releases",
  {
    id: uuid().primaryKey().defaultRandom(),
    dealId: uuid()
      .notNull()
      .references(() => deals.id, { onDelete: "cascade" }),
    kind: text({ enum: RELEASE_KINDS }).notNull(),
    /** What exactly, in words of ours: what comes to other figures is to be released anew. */
    detail: text().notNull().default(""),
    dealVersion: integer().notNull(),
    reason: text().notNull(),
    who: uuid()
      .notNull()
      .references(() => people.id),
    at: timestamp({ withTimezone: true, mode: "date" }).notNull().defaultNow(),
  },
  table => [index("releases_deal").on(table.dealId, table.at)],
);

/**
 * What outlasts the request that asked for it: deals that are being brought in, and shown once all have arrived; vehicles
 * that come into stock; what vehicles had cost that were taken out, until that is forgotten. And what is always to be seen
 * to, by one process at a time.
 */
export const JOB_KINDS = [
  "bringInDeals",
  "showDeals",
  "putInStock",
  "forgetCosts",
  "makeFigures",
  "makeIncome",
  "keepSignings",
  "removePapers",
  "keepCopy",
] as const;

/** What is still to be done, part by part, also after a stop in between. */
export const jobs = pgTable(
  "jobs",
  {
    kind: text({ enum: JOB_KINDS }).notNull(),
    /** The same work asked for twice is done once. */
    key: text().notNull(),
    /** What is left of it. */
    payload: json().$type<unknown>().notNull(),
    at: timestamp({ withTimezone: true, mode: "date" }).notNull().defaultNow(),
    /** Nobody takes it up before: somebody is at work on it, or it has failed. */
    leaseUntil: timestamp({ withTimezone: true, mode: "date" }),
    /** How often it has failed. */
    tries: integer().notNull().default(0),
  },
  table => [primaryKey({ columns: [table.kind, table.key] })],
);

/** Bytes that are kept once, however often they are named. */
export const blobs = pgTable("blobs", {
  /** Of the bytes, in hexadecimal digits. */
  sha256: text().primaryKey(),
  bytes: bytea().notNull(),
});

/** Papers that were given: what has left the desk of a deal, whole. */
export const papers = pgTable(
  "papers",
  {
    id: uuid().primaryKey().defaultRandom(),
    dealId: uuid()
      .notNull()
      .references(() => deals.id, { onDelete: "cascade" }),
    /** The option that it is of; null where it is of several. */
    optionId: uuid(),
    kind: text().notNull(),
    /** What its file is called. */
    fileName: text().notNull().default("Paper"),
    at: timestamp({ withTimezone: true, mode: "date" }).notNull(),
    /** Who made it; null while nobody has a name. */
    who: text(),
    /** The deal's version, and that of the core, that it follows from. */
    dealVersion: integer().notNull(),
    coreVersion: text().notNull(),
    /** Its bytes; null once it was removed, because it was kept for as long as the house has settled. */
    sha256: text().references(() => blobs.sha256),
    removedAt: timestamp({ withTimezone: true, mode: "date" }),
  },
  table => [
    index("papers_deal").on(table.dealId, table.at),
    // The same paper given again is one.
    unique("papers_once").on(table.dealId, table.kind, table.sha256),
  ],
);

export const options = pgTable(
  "options",
  {
    /** Of its own within a deal, and kept for as long as the option is there. */
    id: uuid().notNull(),
    dealId: uuid()
      .notNull()
      .references(() => deals.id, { onDelete: "cascade" }),
    /** Its place among the deal's options, from 0. */
    position: integer().notNull().default(0),
    /** Empty where it has no name of its own. */
    name: text().notNull().default(""),
    /** What the officer typed, checked against the deal file's schema. What follows from it is computed. */
    inputs: json().$type<DealFile>().notNull(),
    /** The deal's version at which this option last changed. */
    version: integer().notNull().default(1),
  },
  table => [primaryKey({ columns: [table.dealId, table.id] })],
);

/** The parts of a deal that stand beside what is agreed. */
export const DEAL_PARTS = ["asides", "dealer"] as const;

/** Each part of a deal that stands beside what is agreed, with a version of its own. */
export const dealParts = pgTable(
  "deal_parts",
  {
    dealId: uuid()
      .notNull()
      .references(() => deals.id, { onDelete: "cascade" }),
    part: text({ enum: DEAL_PARTS }).notNull(),
    /** All of the part, checked against its schema. */
    json: json().$type<Asides | Dealer>().notNull(),
    /** The deal's version at which the part last changed. */
    version: integer().notNull(),
  },
  table => [primaryKey({ columns: [table.dealId, table.part] })],
);

/** How a change came about. */
export const CHANGE_KINDS = ["begun", "changed", "signed", "reopened"] as const;

/**
 * What was changed of each deal, change by change: in words, and as what it takes to come back to the state before it.
 * The state after the last is the deal itself.
 */
export const dealChanges = pgTable(
  "deal_changes",
  {
    // The widest first: there are many rows, and none is to be padded.
    at: timestamp({ withTimezone: true, mode: "date" }).notNull(),
    /** Changes that follow closely are one: when the first of them was saved, where that was not the last. */
    began: timestamp({ withTimezone: true, mode: "date" }),
    /** The payment of the chosen option after it, in minor units, once that is made. */
    payment: bigint({ mode: "number" }),
    dealId: uuid()
      .notNull()
      .references(() => deals.id, { onDelete: "cascade" }),
    /** From 1, the oldest first. */
    number: integer().notNull(),
    /** The deal's version after it. */
    dealVersion: integer().notNull(),
    /** How the state before it is written. */
    documentVersion: smallint().notNull(),
    kind: text({ enum: CHANGE_KINDS }).notNull(),
    /** Of the dealer's part, which is told to whom that part is open; null where it is of the deal itself. */
    part: text({ enum: ["dealer"] }),
    /** Who changed it; null while nobody has a name. */
    who: text(),
    words: text().notNull(),
    /** What of the state before differs from the one after it, or all of that state where it is written otherwise. */
    back: json().$type<Difference | DealDocument | Dealer>(),
  },
  table => [primaryKey({ columns: [table.dealId, table.number] })],
);

/** The quotes of signed deals as they were signed: they are shown whatever later cores compute. */
export const signings = pgTable("signings", {
  dealId: uuid()
    .primaryKey()
    .references(() => deals.id, { onDelete: "cascade" }),
  at: timestamp({ withTimezone: true, mode: "date" }).notNull(),
  coreVersion: text().notNull(),
  /** Whether it had been signed before quotes were kept. */
  isLate: boolean().notNull().default(false),
  /** One for each option: a signed quote of the form that there was at the signing. */
  quotes: json().$type<unknown[]>().notNull(),
  /** Who and what it names, as they were called then; null where nobody said. */
  customer: text(),
  vehicle: text(),
});

/**
 * What the register shows of each deal, in a narrow table of its own that is quickly searched. It follows from the deal:
 * the heading is written with it, the figures of its chosen option are made after each change.
 */
export const registerLines = pgTable(
  "register_lines",
  {
    dealId: uuid()
      .primaryKey()
      .references(() => deals.id, { onDelete: "cascade" }),
    /** The deal's version that the line follows from. */
    dealVersion: integer().notNull(),
    customer: text().notNull(),
    vehicle: text().notNull(),
    status: text({ enum: DEAL_STATUSES }).notNull(),
    changedAt: timestamp({ withTimezone: true, mode: "date" }).notNull(),
    deleted: boolean().notNull().default(false),
    /** The names as they are sorted, without accents and capitals; null where there is none. */
    customerKey: text(),
    vehicleKey: text(),
    /** What a search looks for words in. */
    headingText: text().notNull(),
    figuresText: text().notNull().default(""),
    currency: text(),
    /** Minor units; null where there is no answer. */
    payment: bigint({ mode: "number" }),
    amountFinanced: bigint({ mode: "number" }),
    /** How often it is paid. */
    paid: text(),
    /** Why there is no answer. */
    problem: text(),
    /** What kind of plan the chosen option has, what it is called, and how many options there are. */
    planKind: text().$type<RegisterKind>(),
    chosenName: text().notNull().default(""),
    optionCount: integer().notNull().default(1),
    /** The version of the core that made the figures; null until they are made. */
    madeBy: text(),
  },
  table => [
    index("register_changed_at").on(table.changedAt, table.dealId),
    index("register_customer").on(table.customerKey, table.dealId),
    // Finds a word of three letters and more without a look at every line.
    // What is put off falls to somebody else's save: so little of it that nobody notices, and a quarter of the work.
    index("register_words")
      .using("gin", sql`(heading_text || ' ' || figures_text) gin_trgm_ops`)
      .with({ fastupdate: true, gin_pending_list_limit: 64 }),
    index("register_to_make").on(table.changedAt).where(sql`${table.madeBy} is null`),
  ],
);

/**
 * What each agreed or signed deal earns the dealer, apart from what the register shows: it follows from the deal and its
 * dealer's part, and is made after each change of either.
 */
export const dealIncome = pgTable("deal_income", {
  dealId: uuid()
    .primaryKey()
    .references(() => deals.id, { onDelete: "cascade" }),
  /** The deal's version that it follows from, and that of the core which made it. */
  dealVersion: integer().notNull(),
  madeBy: text().notNull(),
  figures: json().$type<EarnedFigures>().notNull(),
});

/** What the house has settled for its deals: one row, once something is settled. */
export const settings = pgTable(
  "settings",
  {
    id: integer().primaryKey(),
    /** All of it, checked against the settings' schema. */
    file: json().$type<Settings>().notNull(),
    /** Goes up by one at each save; a save names the version it was made from. */
    version: integer().notNull(),
    changedAt: timestamp({ withTimezone: true, mode: "date" }).notNull(),
    /** What of it customers never see, with a version of its own. */
    dealer: json().$type<SettingsDealer>().notNull().default({}),
    dealerVersion: integer().notNull().default(0),
  },
  table => [check("settings_one_row", sql`${table.id} = 1`)],
);

/** What lenders offer, a row each. */
export const lenders = pgTable("lenders", {
  /** Its name without capitals and spaces: no two have the same. */
  key: text().primaryKey(),
  name: text().notNull(),
  /** In which order they came. */
  place: integer().notNull(),
  programs: json().$type<Lender["programs"]>().notNull(),
  /** Another one after each change. */
  mark: uuid().notNull().defaultRandom(),
});
