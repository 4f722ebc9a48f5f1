import { and, desc, eq, isNull, sql } from "drizzle-orm";
import type { DealDocument } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { checkDealFile } from "@/exchange/deal-file/parse";
import type { Database } from "./database";
import { customers, deals, options, vehicles } from "./schema";

/** A deal as it is kept. */
export type DealRecord = {
  id: string;
  version: number;
  changedAt: Date;
  deleted: boolean;
  document: DealDocument;
};

const RECORD = {
  id: deals.id,
  customer: customers.name,
  vehicle: vehicles.description,
  status: deals.status,
  changedAt: deals.changedAt,
  deletedAt: deals.deletedAt,
  inputs: options.inputs,
  version: options.version,
};

function selectRecords(database: Database) {
  return database
    .select(RECORD)
    .from(deals)
    .innerJoin(options, eq(options.dealId, deals.id))
    .leftJoin(customers, eq(customers.id, deals.customerId))
    .leftJoin(vehicles, eq(vehicles.id, deals.vehicleId));
}

type SelectedRecord = Awaited<ReturnType<typeof selectRecords>>[number];

function toRecord(row: SelectedRecord): DealRecord {
  return {
    id: row.id,
    version: row.version,
    changedAt: row.changedAt,
    deleted: row.deletedAt !== null,
    document: {
      customer: row.customer ?? "",
      vehicle: row.vehicle ?? "",
      status: row.status,
      inputs: row.inputs,
    },
  };
}

/** Every deal that is not deleted, the last changed first. */
export async function listDeals(database: Database): Promise<DealRecord[]> {
  const rows = await selectRecords(database).where(isNull(deals.deletedAt)).orderBy(desc(deals.changedAt));
  return rows.map(toRecord);
}

/** One deal, deleted or not. */
export async function getDeal(database: Database, id: string): Promise<DealRecord | undefined> {
  const [row] = await selectRecords(database).where(eq(deals.id, id));
  return row && toRecord(row);
}

/** Whether any deal was ever made here. */
export async function hasDeals(database: Database): Promise<boolean> {
  const [row] = await database.select({ id: deals.id }).from(deals).limit(1);
  return row !== undefined;
}

/** Keeps new deals, all or none, and gives back their ids. */
export async function insertDeals(
  database: Database,
  documents: (DealDocument & { changedAt?: Date })[],
): Promise<string[]> {
  return database.transaction(async tx => {
    const ids: string[] = [];
    for (const { inputs, changedAt, ...heading } of documents) {
      const [deal] = await tx
        .insert(deals)
        .values({ ...(await headingColumns(tx, heading)), ...(changedAt && { changedAt }) })
        .returning({ id: deals.id });
      if (!deal) throw new Error("The database kept no deal.");
      await tx.insert(options).values({ dealId: deal.id, inputs: guarded(inputs) });
      ids.push(deal.id);
    }
    return ids;
  });
}

/**
 * Saves a deal over the version that the change was made from.
 *
 * @returns whether it was saved; false where that version is no longer the newest, or the deal is deleted
 */
export async function updateDeal(
  database: Database,
  id: string,
  version: number,
  { inputs, ...heading }: DealDocument,
): Promise<boolean> {
  return database.transaction(async tx => {
    const live = tx
      .select({ id: deals.id })
      .from(deals)
      .where(and(eq(deals.id, id), isNull(deals.deletedAt)));
    const saved = await tx
      .update(options)
      .set({ inputs: guarded(inputs), version: version + 1 })
      .where(and(eq(options.dealId, sql`(${live})`), eq(options.version, version)))
      .returning({ id: options.id });
    if (saved.length === 0) return false;
    await tx
      .update(deals)
      .set({ ...(await headingColumns(tx, heading)), changedAt: new Date() })
      .where(eq(deals.id, id));
    await dropUnusedNames(tx);
    return true;
  });
}

/** Marks a deal as deleted, or brings it back. Gives back whether there is such a deal. */
export async function setDeleted(database: Database, id: string, deleted: boolean): Promise<boolean> {
  const changed = await database
    .update(deals)
    .set({ deletedAt: deleted ? new Date() : null })
    .where(eq(deals.id, id))
    .returning({ id: deals.id });
  return changed.length > 0;
}

async function headingColumns(database: Database, heading: Omit<DealDocument, "inputs">) {
  return {
    status: heading.status,
    customerId: await customerNamed(database, heading.customer),
    vehicleId: await vehicleCalled(database, heading.vehicle),
  };
}

async function customerNamed(database: Database, name: string): Promise<string | null> {
  if (name === "") return null;
  const [customer] = await database
    .insert(customers)
    .values({ name })
    .onConflictDoUpdate({ target: customers.name, set: { name } })
    .returning({ id: customers.id });
  return customer?.id ?? null;
}

async function vehicleCalled(database: Database, description: string): Promise<string | null> {
  if (description === "") return null;
  const [vehicle] = await database
    .insert(vehicles)
    .values({ description })
    .onConflictDoUpdate({ target: vehicles.description, set: { description } })
    .returning({ id: vehicles.id });
  return vehicle?.id ?? null;
}

/** The schema that guards the deal file guards what the database keeps, whoever calls. */
function guarded(inputs: DealFile): DealFile {
  const checked = checkDealFile(inputs);
  if (!checked.ok) throw new Error(`Inputs that must not be kept: ${checked.sentence}`);
  return checked.value;
}

/** A name that was corrected leaves nothing behind under the old one; vehicles of the stock list stay. */
async function dropUnusedNames(database: Database): Promise<void> {
  await database
    .delete(customers)
    .where(sql`not exists (select 1 from ${deals} where ${deals.customerId} = ${customers.id})`);
  await database.delete(vehicles).where(
    sql`${vehicles.priceMinor} is null
        and not exists (select 1 from ${deals} where ${deals.vehicleId} = ${vehicles.id})`,
  );
}
