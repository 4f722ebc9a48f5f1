import { and, asc, count, eq, gt, inArray, isNull } from "drizzle-orm";
import {
  type Asides,
  agreedOf,
  asidesMember,
  type DealChange,
  type DealDocument,
  isNoChange,
  isSame,
  nameOf,
  upToDate,
} from "@/exchange/deal-document";
import { optionUpToDate } from "@/exchange/dealer";
import type { Database } from "./database";
import { keepMerged } from "./keep-deal";
import { agreedVersion, type Merged, merge, type VersionedDeal } from "./merge";
import { dropIfUnused } from "./names";
import { asCalledNow, asKeptBefore, isOfOthers } from "./names-of-save";
import { customers, dealParts, deals, options, registerLines, signings, vehicles } from "./schema";
import { getSigning, keepSigning, type Signing } from "./signings";
import { takingTurns } from "./turns";

/** A deal as it is kept. */
export type DealRecord = VersionedDeal & { id: string; changedAt: Date; deleted: boolean };

const RECORD = {
  id: deals.id,
  customer: { id: customers.id, name: customers.name },
  vehicle: { id: vehicles.id, name: vehicles.description },
  customerSigned: signings.customer,
  vehicleSigned: signings.vehicle,
  status: deals.status,
  budget: deals.budget,
  notes: deals.notes,
  place: deals.place,
  use: deals.use,
  chosen: deals.chosen,
  version: deals.version,
  headingVersion: deals.headingVersion,
  orderVersion: deals.orderVersion,
  changedAt: deals.changedAt,
  deletedAt: deals.deletedAt,
  option: { id: options.id, name: options.name, inputs: options.inputs },
  optionVersion: options.version,
  asides: dealParts.json,
  asidesVersion: dealParts.version,
};

/** Deals with their options: a row for each option. */
function selectRows(database: Database) {
  return database
    .select(RECORD)
    .from(deals)
    .innerJoin(options, eq(options.dealId, deals.id))
    .leftJoin(customers, eq(customers.id, deals.customerId))
    .leftJoin(vehicles, eq(vehicles.id, deals.vehicleId))
    .leftJoin(signings, and(eq(signings.dealId, deals.id), eq(deals.status, "signed")))
    .leftJoin(dealParts, and(eq(dealParts.dealId, deals.id), eq(dealParts.part, "asides")));
}

type Row = Awaited<ReturnType<typeof selectRows>>[number];

function toRecord(rows: readonly Row[]): DealRecord | undefined {
  const [row] = rows;
  if (!row) return undefined;
  const {
    id,
    customer,
    vehicle,
    customerSigned,
    vehicleSigned,
    status,
    budget,
    notes,
    place,
    use,
    chosen,
    version,
    headingVersion,
    orderVersion,
    asides,
    asidesVersion,
    changedAt,
  } = row;
  const present = rows.map(({ option }) => optionUpToDate(option));
  const document = {
    ...(customer && { customer: { ...customer, name: customerSigned ?? customer.name } }),
    ...(vehicle && { vehicle: { ...vehicle, name: vehicleSigned ?? vehicle.name } }),
    status,
    ...(budget !== null && { budget }),
    ...(notes !== null && { notes }),
    ...(place !== null && { place }),
    ...(use !== null && { use }),
    chosen,
    options: present,
    ...asidesMember(asides as Asides | null),
  };
  return {
    id,
    changedAt,
    deleted: row.deletedAt !== null,
    version,
    headingVersion,
    orderVersion,
    asidesVersion: asidesVersion ?? 0,
    optionVersions: new Map(rows.map(({ option, optionVersion }) => [option.id, optionVersion])),
    document: upToDate(document) as DealDocument,
  };
}

/** One deal, deleted or not. */
export async function getDeal(database: Database, id: string): Promise<DealRecord | undefined> {
  return toRecord(await selectRows(database).where(eq(deals.id, id)).orderBy(asc(options.position)));
}

/** A deal for whoever only passes it on: what can be large of it is JSON already. */
type DealText = Pick<DealRecord, "id" | "version" | "changedAt" | "deleted"> & {
  customer: string;
  document: string;
  /** What a signed one was signed with. */
  signing?: string;
};

/**
 * The same as JSON. The largest deal has ten thousand values, and the thread that serves everyone would look at each of
 * them to receive it and again to send it.
 */
export async function getDealText(database: Database, dealId: string): Promise<DealText | undefined> {
  const record = await getDeal(database, dealId);
  if (!record) return undefined;
  const { id, version, changedAt, deleted, document } = record;
  const signing = document.status === "signed" ? await getSigning(database, dealId) : undefined;
  return {
    ...{ id, version, changedAt, deleted },
    customer: nameOf(document.customer),
    document: JSON.stringify(document),
    ...(signing && { signing: JSON.stringify(signing) }),
  };
}

/** The version of a deal, and whether it is deleted. */
export async function versionOf(
  database: Database,
  id: string,
): Promise<{ version: number; deleted: boolean } | undefined> {
  const [row] = await database
    .select({ version: deals.version, deletedAt: deals.deletedAt })
    .from(deals)
    .where(eq(deals.id, id));
  return row && { version: row.version, deleted: row.deletedAt !== null };
}

/** Deals in the order of their ids, deleted ones too, and the id after which the next follow; null after the last. */
export async function dealsAfter(
  database: Database,
  after: string | null,
  most: number,
): Promise<{ records: DealRecord[]; last: string | null }> {
  const next = await database
    .select({ id: deals.id })
    .from(deals)
    .where(after === null ? undefined : gt(deals.id, after))
    .orderBy(asc(deals.id))
    .limit(most);
  const ids = next.map(({ id }) => id);
  const rows = ids.length
    ? await selectRows(database).where(inArray(deals.id, ids)).orderBy(asc(deals.id), asc(options.position))
    : [];
  const records = ids.flatMap(id => toRecord(rows.filter(row => row.id === id)) ?? []);
  return { records, last: ids.length === most ? (ids.at(-1) ?? null) : null };
}

/** How many deals there are, deleted ones and those that arrive counted. */
export async function dealCount(database: Database): Promise<number> {
  const [row] = await database.select({ count: count() }).from(deals);
  return row?.count ?? 0;
}

/** Whether any deal was ever made here. */
export async function hasDeals(database: Database): Promise<boolean> {
  const [row] = await database.select({ id: deals.id }).from(deals).limit(1);
  return row !== undefined;
}

/** A deal as it was saved; without its document where that is what the sender has. */
export type SavedDeal = Omit<DealRecord, "document"> & { document?: DealDocument };

/** What a save is refused for: a signed deal is changed by reopening it alone; one that is signed brings its quotes; and it is in one currency. */
type SaveRefusal = "signed" | "withoutQuotes" | "currencies";

/** What goes with a save. */
export type Saving = {
  /** Whether to leave the document out where the change was made from what was kept. */
  brief?: boolean;
  /** What a deal that becomes a signed one is signed with, and the document that it follows from. */
  signing?: { document: DealDocument; quotes: Signing };
  /** Whether a signed deal is being reopened. */
  reopens?: boolean;
};

/**
 * Saves a change of a deal over what is kept, together with what others have changed in its other parts since.
 *
 * @param version the version that the change was made from
 * @returns the deal as it is then; undefined where somebody else has changed the same part since, or anything of a deal
 *   that is being signed, or it is deleted; why it was not saved
 */
export async function updateDeal(
  database: Database,
  id: string,
  version: number,
  change: DealChange,
  saving: Saving = {},
): Promise<SavedDeal | SaveRefusal | undefined> {
  const rest = takingTurns();
  const kept = await getDeal(database, id);
  await rest();
  const sent = saving.reopens ? await asCalledNow(database, id, change) : asKeptBefore(kept, change);
  const merged = kept && !kept.deleted ? merge(kept, version, sent) : null;
  if (!kept || !merged) return undefined;
  if (isNoChange(merged.changed)) {
    return (await isStill(database, kept)) ? kept : updateDeal(database, id, version, change, saving);
  }
  if (!hasInView(kept, version) && saysYes(kept, merged)) return undefined;
  const refusal = refusalOf(kept, merged, saving);
  if (refusal) return refusal;
  await rest();
  const saved = await database.transaction(async tx => {
    const [live] = await tx
      .select({ version: deals.version, customerId: deals.customerId, vehicleId: deals.vehicleId })
      .from(deals)
      .where(and(eq(deals.id, id), isNull(deals.deletedAt)))
      .for("update");
    // Somebody else was quicker, or deleted the deal: it is looked at anew.
    if (live?.version !== kept.version) return undefined;
    const keeping = await keepMerged(tx, kept, merged);
    if (merged.changed.heading) await dropIfUnused(tx, live);
    if (saving.signing && becomesSigned(kept, merged)) await keepSigning(tx, id, saving.signing.quotes);
    return keeping;
  });
  await rest();
  if (!saved) return updateDeal(database, id, version, change, saving);
  if (!saving.brief || kept.version !== version || isOfOthers(saved, merged)) return saved;
  // A large deal takes its time from one thread to the other, and on to the sender.
  const { document: _document, ...withoutDocument } = saved;
  return withoutDocument;
}

/** What a save is refused for that is in view of the deal as it is. */
function refusalOf(kept: DealRecord, merged: Merged, { signing, reopens }: Saving): SaveRefusal | undefined {
  if (hasCurrencies(merged.document)) return "currencies";
  if (kept.document.status === "signed" && !reopens && isOfAgreed(merged)) return "signed";
  const isSignedAsItIs = signing && isSame(agreedOf(signing.document), agreedOf(merged.document));
  return becomesSigned(kept, merged) && !isSignedAsItIs ? "withoutQuotes" : undefined;
}

const becomesSigned = (kept: DealRecord, { document }: Merged) =>
  kept.document.status !== "signed" && document.status === "signed";

/** Whether what is agreed of a deal is still what it was at a version. */
const hasInView = (kept: VersionedDeal, version: number) =>
  agreedVersion(kept) <= version && version <= kept.version;

/** Whether a save changes what was agreed. */
const isOfAgreed = ({ changed: { asides: _, ...agreed } }: Merged) => !isNoChange(agreed);

/** Whether a save says yes to what its officer has in view: another version is not what that was. */
const saysYes = (kept: DealRecord, { document }: Merged) =>
  document.status === "signed" || document.chosen !== kept.document.chosen;

const hasCurrencies = ({ options: all }: DealDocument) =>
  new Set(all.map(({ inputs }) => inputs.currency)).size > 1;

/** Whether a deal is as it was read, at one moment of its own: what is confirmed without a change is there then. */
async function isStill(database: Database, { id, version }: DealRecord): Promise<boolean> {
  return database.transaction(async tx => {
    const [live] = await tx
      .select({ version: deals.version })
      .from(deals)
      .where(and(eq(deals.id, id), isNull(deals.deletedAt)))
      .for("share");
    return live?.version === version;
  });
}

/**
 * Marks a deal as deleted, or brings it back. Gives back whether there is such a deal; a signed one stays, and so does one
 * of another version than the one that is meant.
 */
export async function setDeleted(
  database: Database,
  id: string,
  deleted: boolean,
  version?: number,
): Promise<boolean | "signed" | "changed"> {
  return database.transaction(async tx => {
    const [deal] = await tx
      .select({ status: deals.status })
      .from(deals)
      .where(eq(deals.id, id))
      .for("update");
    const kept = deal && version !== undefined ? await getDeal(tx, id) : undefined;
    if (kept && version !== undefined && !hasInView(kept, version)) return "changed";
    if (deleted && deal?.status === "signed") return "signed";
    const changed = await tx
      .update(deals)
      .set({ deletedAt: deleted ? new Date() : null })
      .where(eq(deals.id, id))
      .returning({ id: deals.id });
    await tx.update(registerLines).set({ deleted }).where(eq(registerLines.dealId, id));
    return changed.length > 0;
  });
}
