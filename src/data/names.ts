import { createHash, randomUUID } from "node:crypto";
import { and, eq, inArray, isNull, not, sql } from "drizzle-orm";
import { type DealHeading, type Named, nameOf } from "@/exchange/deal-document";
import type { Database } from "./database";
import { insertRows } from "./insert-rows";
import { customers, deals, vehicles } from "./schema";

/** What a deal names: who it is for, and what. */
export const NAMED = {
  customer: { table: customers, name: customers.name, column: "name", inDeal: deals.customerId },
  vehicle: { table: vehicles, name: vehicles.description, column: "description", inDeal: deals.vehicleId },
} as const;

export type NamedMember = keyof typeof NAMED;

/**
 * The ids of what deals name, which is kept where it is new. One whose name is another now is called so where no other deal
 * has it; else it is a new one: no save changes what another deal says.
 *
 * @param dealId the deal that is saved; left out where all are new
 */
export async function keepNamed(
  tx: Database,
  member: NamedMember,
  all: readonly (Named | undefined)[],
  dealId?: string,
): Promise<(string | null)[]> {
  const { table, name, column } = NAMED[member];
  const ids = [...new Set(all.flatMap(named => named?.id ?? []))];
  if (ids.length === 0) return all.map(() => null);
  // Held, so that nobody drops them meanwhile, or says of one that no other deal names it.
  const rows = await tx
    .select({ id: table.id, name })
    .from(table)
    .where(inArray(table.id, ids))
    .orderBy(table.id)
    .for("no key update");
  const kept = new Map(rows.map(row => [row.id, row.name]));
  const added: { id: string; [column]: string }[] = [];
  const keep = (id: string, called: string) => {
    kept.set(id, called);
    added.push({ id, [column]: called });
    return id;
  };
  const found: (string | null)[] = [];
  for (const named of all) {
    const known = named && kept.get(named.id);
    if (!named) found.push(null);
    else if (known === undefined) found.push(keep(named.id, named.name));
    else if (known === named.name) found.push(named.id);
    else if (dealId === undefined) found.push(keep(randomUUID(), named.name));
    else if (await isOfOthers(tx, member, named.id, dealId))
      found.push(await keepOwn(tx, member, { id: ownId(dealId, named.id), name: named.name }));
    else {
      await tx
        .update(table)
        .set({ [column]: named.name })
        .where(eq(table.id, named.id));
      found.push(named.id);
    }
  }
  await insertRows(tx, table as typeof customers, added as never[], sql`on conflict (id) do nothing`);
  return found;
}

/** The id of a deal's own record in place of another's, the same each time: a save that is sent again comes to the same. */
export function ownId(dealId: string, id: string): string {
  const digits = createHash("sha256").update(`${dealId} ${id}`).digest("hex").slice(0, 32);
  return digits.replace(/^(.{8})(.{4})(.{4})(.{4})/, "$1-$2-$3-$4-");
}

async function keepOwn(tx: Database, member: NamedMember, { id, name }: Named): Promise<string> {
  const { table, column } = NAMED[member];
  const called = { [column]: name };
  await tx
    .insert(table)
    .values({ id, ...called } as never)
    .onConflictDoUpdate({ target: table.id, set: called });
  return id;
}

/** Whether it is more than what one deal names: another deal does, too, or it is in stock. */
async function isOfOthers(tx: Database, member: NamedMember, id: string, dealId: string): Promise<boolean> {
  const { inDeal } = NAMED[member];
  const [other] = await tx
    .select({ id: deals.id })
    .from(deals)
    .where(and(eq(inDeal, id), not(eq(deals.id, dealId))))
    .limit(1);
  if (other || member === "customer") return other !== undefined;
  const [stock] = await tx.select({ inStock: vehicles.inStock }).from(vehicles).where(eq(vehicles.id, id));
  return stock?.inStock === true;
}

/** Who and what a deal names, as they are called now. */
export async function namesNow(
  database: Database,
  dealId: string,
): Promise<Pick<DealHeading, "customer" | "vehicle">> {
  const [row] = await database
    .select({
      customer: { id: customers.id, name: customers.name },
      vehicle: { id: vehicles.id, name: vehicles.description },
    })
    .from(deals)
    .leftJoin(customers, eq(customers.id, deals.customerId))
    .leftJoin(vehicles, eq(vehicles.id, deals.vehicleId))
    .where(eq(deals.id, dealId));
  return {
    ...(row?.customer && { customer: row.customer }),
    ...(row?.vehicle && { vehicle: row.vehicle }),
  };
}

/** The names that a deal is signed with; null where it names nobody, or nothing. */
export const signedNames = ({ customer, vehicle }: Pick<DealHeading, "customer" | "vehicle">) => ({
  customer: nameOf(customer) || null,
  vehicle: nameOf(vehicle) || null,
});

/** The customer and the vehicle that a deal names, by id. */
type NamedIds = { customerId: string | null; vehicleId: string | null };

/**
 * A name that was corrected leaves nothing behind under the old one; vehicles in stock stay.
 *
 * @param also whether those go, too, that have a stock number: what the house knows of them is there when a deal that was
 *   about one is about it again
 */
export async function dropIfUnused(
  database: Database,
  { customerId, vehicleId }: NamedIds,
  also?: "numbered",
): Promise<void> {
  if (customerId !== null) {
    await held(database, customers, customerId);
    const isUsed = sql`exists (select 1 from ${deals} where ${deals.customerId} = ${customers.id})`;
    await database.delete(customers).where(and(eq(customers.id, customerId), not(isUsed)));
  }
  if (vehicleId !== null) {
    await held(database, vehicles, vehicleId);
    const isUsed = sql`exists (select 1 from ${deals} where ${deals.vehicleId} = ${vehicles.id})`;
    const isNumbered = also === "numbered" ? undefined : isNull(vehicles.stockNumber);
    const isLoose = and(eq(vehicles.id, vehicleId), eq(vehicles.inStock, false), isNumbered, not(isUsed));
    await database.delete(vehicles).where(isLoose);
  }
}

/** Waits for whoever names a record right now: whether it is used is seen after that. */
const held = (database: Database, table: typeof customers | typeof vehicles, id: string) =>
  database.select({ id: table.id }).from(table).where(eq(table.id, id)).for("update");
