import { and, count, eq, inArray, isNull, ne } from "drizzle-orm";
import { headingOf, type Named } from "@/exchange/deal-document";
import { VEHICLE_COLUMNS } from "@/exchange/stock/vehicle-columns";
import { changesStock } from "./changes-stock";
import type { Database } from "./database";
import { getDeal } from "./deals";
import { keepMerged } from "./keep-deal";
import { NAMED, type NamedMember } from "./names";
import { renumberLines } from "./register-lines";
import { deals, vehicles } from "./schema";
import { type KeptVehicle, SHOWN } from "./shown-vehicle";

/** A customer or a vehicle, how many deals name it, and what is known of a vehicle. */
export type CountedRecord = Named & { deals: number; vehicle?: KeptVehicle };

/** A customer or a vehicle, and how many deals beside one of them name it; undefined where there is none. */
export async function recordOf(
  database: Database,
  member: NamedMember,
  id: string,
  besideDeal: string | null,
): Promise<CountedRecord | undefined> {
  const { table, name, inDeal } = NAMED[member];
  const [named] = await database.select({ id: table.id, name }).from(table).where(eq(table.id, id));
  if (!named) return undefined;
  const beside = besideDeal === null ? undefined : ne(deals.id, besideDeal);
  const [counted] = await database
    .select({ deals: count() })
    .from(deals)
    .where(and(eq(inDeal, id), beside, isNull(deals.deletedAt)));
  const record = { ...named, deals: counted?.deals ?? 0 };
  if (member === "customer") return record;
  const [vehicle] = await database.select(SHOWN).from(vehicles).where(eq(vehicles.id, id));
  return { ...record, ...(vehicle && { vehicle }) };
}

/**
 * Corrects the name of a customer or a vehicle, in each deal that names it: signed ones keep the name as signed.
 *
 * @param was what it is called in view
 * @returns it as it is now; undefined where there is none; "changed" where it is called otherwise already
 */
export async function correctName(
  database: Database,
  member: NamedMember,
  id: string,
  was: string,
  name: string,
): Promise<Named | "changed" | undefined> {
  return database.transaction(async tx => {
    // A save holds its deal first, and then what that names: in that order here, too.
    await holdDealsOf(tx, member, [id]);
    const now = await held(tx, member, id);
    if (!now) return undefined;
    if (now.name === name) return now;
    if (now.name !== was) return "changed";
    await rename(tx, member, id, name);
    return { id, name };
  });
}

/** Gives a record another name, and tells each deal of it that is not signed. */
export async function rename(tx: Database, member: NamedMember, id: string, name: string): Promise<void> {
  const { table, column } = NAMED[member];
  const open = await openDealsOf(tx, member, id);
  await tx
    .update(table)
    .set({ [column]: name })
    .where(eq(table.id, id));
  await tell(tx, member, open, { id, name });
}

/**
 * Makes two customers or two vehicles one: each deal of the one names the other, and the one is no more. Of two vehicles
 * what is not known of the other is taken from the one; signed deals keep the name as signed.
 *
 * @returns what is left; undefined where one of them is not there
 */
export async function makeOne(
  database: Database,
  member: NamedMember,
  id: string,
  otherId: string,
): Promise<Named | undefined> {
  return database.transaction(async tx => {
    if (member === "vehicle") await changesStock(tx);
    await holdDealsOf(tx, member, [id, otherId]);
    const [lost, kept] = [await held(tx, member, otherId), await held(tx, member, id)];
    if (!lost || !kept || id === otherId) return undefined;
    const { table } = NAMED[member];
    const open = await openDealsOf(tx, member, otherId);
    const here = member === "customer" ? { customerId: id } : { vehicleId: id };
    await tx.update(deals).set(here).where(eq(NAMED[member].inDeal, otherId));
    await tell(tx, member, open, kept);
    if (member === "vehicle") await takeFacts(tx, id, otherId);
    await tx.delete(table).where(eq(table.id, otherId));
    return kept;
  });
}

/** A record, held until the end of what is done with it. */
async function held(tx: Database, member: NamedMember, id: string): Promise<Named | undefined> {
  const { table, name } = NAMED[member];
  const [record] = await tx.select({ id: table.id, name }).from(table).where(eq(table.id, id)).for("update");
  return record;
}

const holdDealsOf = (tx: Database, member: NamedMember, ids: string[]) =>
  tx
    .select({ id: deals.id })
    .from(deals)
    .where(and(inArray(NAMED[member].inDeal, ids), ne(deals.status, "signed")))
    .orderBy(deals.id)
    .for("update");

async function openDealsOf(tx: Database, member: NamedMember, id: string) {
  const rows = await tx
    .select({ id: deals.id })
    .from(deals)
    .where(and(eq(NAMED[member].inDeal, id), ne(deals.status, "signed")))
    .orderBy(deals.id)
    .for("update");
  const records = [];
  for (const row of rows) records.push(await getDeal(tx, row.id));
  return records;
}

/** Each deal says what it names as that is called now. */
async function tell(
  tx: Database,
  member: NamedMember,
  open: Awaited<ReturnType<typeof openDealsOf>>,
  named: Named,
): Promise<void> {
  for (const kept of open) {
    if (!kept) continue;
    const document = { ...kept.document, [member]: named };
    await keepMerged(tx, kept, { document, changed: { heading: headingOf(document) } }, false);
  }
}

/** What is known of another vehicle and not of this one; its amounts where they are in this one's currency, or it has none. */
async function takeFacts(tx: Database, id: string, otherId: string): Promise<void> {
  const [kept] = await tx.select().from(vehicles).where(eq(vehicles.id, id));
  const [lost] = await tx.select().from(vehicles).where(eq(vehicles.id, otherId));
  if (!kept || !lost) return;
  const hasAmounts = VEHICLE_COLUMNS.some(({ kind, fact }) => kind === "amount" && kept[fact] !== null);
  const currency = hasAmounts ? kept.currency : lost.currency;
  const taken = VEHICLE_COLUMNS.filter(
    ({ kind, fact }) => kept[fact] === null && (kind !== "amount" || currency === lost.currency),
  ).map(({ fact }) => [fact, lost[fact]]);
  // No two have one stock number, not even for a moment.
  await tx.update(vehicles).set({ stockNumber: null }).where(eq(vehicles.id, otherId));
  await tx
    .update(vehicles)
    .set({
      ...Object.fromEntries(taken),
      currency,
      inStock: kept.inStock || lost.inStock,
      version: kept.version + 1,
    })
    .where(eq(vehicles.id, id));
  await renumberLines(tx, id, kept.stockNumber ?? lost.stockNumber);
}
