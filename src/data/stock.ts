import { randomUUID } from "node:crypto";
import { and, asc, eq, inArray, isNotNull, lte, or, sql } from "drizzle-orm";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { changesStock } from "./changes-stock";
import type { Database } from "./database";
import { addJob, doPart, isJob, jobsOf } from "./jobs";
import { keepAll, matching } from "./keep-stock";
import { dropIfUnused } from "./names";
import { rename } from "./one-record";
import { renumberLines } from "./register-lines";
import { jobs, vehicles } from "./schema";
import { type KeptVehicle, SHOWN } from "./shown-vehicle";
import { isInStockAmong } from "./stock-costs";

/** What a vehicle cost the dealer, and what was invoiced for it, in minor units; null where that is not known. */
export type VehicleCosts = { costMinor: number | null; invoiceMinor: number | null };

/** What each vehicle in stock cost the dealer, by its id; those of which nothing is known are left out. */
export async function stockCosts(database: Database): Promise<Record<string, VehicleCosts>> {
  const { id, costMinor, invoiceMinor } = vehicles;
  const rows = await database
    .select({ id, costMinor, invoiceMinor })
    .from(vehicles)
    .where(and(eq(vehicles.inStock, true), or(isNotNull(costMinor), isNotNull(invoiceMinor))));
  return Object.fromEntries(rows.map(({ id: of, ...costs }) => [of, costs]));
}

/** All that is known of a vehicle, be it in stock or not; undefined where there is none of the id. */
export async function vehicleKnown(
  database: Database,
  id: string,
): Promise<(KeptVehicle & VehicleCosts) | undefined> {
  const { costMinor, invoiceMinor } = vehicles;
  const [row] = await database
    .select({ ...SHOWN, costMinor, invoiceMinor })
    .from(vehicles)
    .where(eq(vehicles.id, id));
  return row;
}

/** All vehicles in stock, by their descriptions. */
export async function stockList(database: Database): Promise<KeptVehicle[]> {
  return database
    .select(SHOWN)
    .from(vehicles)
    .where(eq(vehicles.inStock, true))
    .orderBy(asc(vehicles.description), asc(vehicles.stockNumber));
}

/**
 * Takes in vehicles that are to be stock: from now on they are, though they are put there part by part, because one long
 * statement keeps everybody waiting.
 *
 * @returns what the work is known by until all of them are there
 */
export async function stockArrives(database: Database, stock: readonly VehicleFile[]): Promise<string> {
  const key = randomUUID();
  await database.transaction(async tx => {
    const costs = await costsOfTaken(tx, stock);
    const payload = stock.map(vehicle => ({ ...costs.get(vehicle.id ?? ""), ...vehicle }));
    await addJob(tx, { kind: "putInStock", key, payload });
  });
  return key;
}

/** For so long it is known what a vehicle cost that was taken out of stock: a page that undoes it need not have seen that. */
const KNOWN_SECONDS = 24 * 3600;

/** What vehicles cost that were taken out of stock and come back, by their ids; from now on that is theirs again. */
async function costsOfTaken(
  tx: Database,
  stock: readonly VehicleFile[],
): Promise<ReadonlyMap<string, VehicleCosts>> {
  const ids = stock.flatMap(({ id }) => id ?? []);
  if (ids.length === 0) return new Map();
  const kept = await tx
    .delete(jobs)
    .where(and(eq(jobs.kind, "forgetCosts"), inArray(jobs.key, ids)))
    .returning({ key: jobs.key, payload: jobs.payload });
  return new Map(kept.map(({ key, payload }) => [key, payload as VehicleCosts]));
}

/** Forgets what vehicles had cost that were taken out of stock long ago. */
export async function forgetCosts(database: Database): Promise<void> {
  await database.delete(jobs).where(and(eq(jobs.kind, "forgetCosts"), lte(jobs.leaseUntil, sql`now()`)));
}

/** Puts some of the vehicles into stock that have arrived. Gives back how many, and at least 1; 0 once all are there. */
export async function putInStock(database: Database, most: number): Promise<number> {
  return doPart(database, "putInStock", async (tx, { payload }) => {
    await changesStock(tx);
    const arriving = payload as VehicleFile[];
    const [some, rest] = [arriving.slice(0, most), arriving.slice(most)];
    await keepAll(tx, some);
    return { done: Math.max(some.length, 1), rest: rest.length > 0 ? rest : null };
  });
}

/** The vehicles that have arrived and are still to be put into stock. */
export async function arrivingStock(database: Database): Promise<VehicleFile[]> {
  return (await jobsOf(database, "putInStock")).flatMap(({ payload }) => payload as VehicleFile[]);
}

/** The vehicles in stock that vehicles of a list are. */
export async function stockOf(database: Database, stock: readonly VehicleFile[]): Promise<KeptVehicle[]> {
  const found = await matching(database, stock);
  return database
    .select(SHOWN)
    .from(vehicles)
    .where(isInStockAmong(found.flatMap(id => id ?? [])));
}

/** What became of a change of a vehicle; where it was changed since the version in view, the vehicle as it is now. */
type VehicleChange = KeptVehicle | "gone" | "taken" | { changed: KeptVehicle };

/**
 * Changes a vehicle in stock; deals that are about it say what it is called from now on, but for signed ones.
 *
 * @param version the one in view
 * @returns "taken" where another one has its stock number
 */
export async function changeVehicle(
  database: Database,
  id: string,
  version: number,
  { id: _, ...change }: VehicleFile,
): Promise<VehicleChange> {
  return database.transaction(async tx => {
    await changesStock(tx);
    const [now] = await tx.select(SHOWN).from(vehicles).where(isInStock(id)).for("update");
    if (!now) return "gone";
    if (now.version !== version) return { changed: now };
    if (change.stockNumber != null) {
      const [other] = await tx
        .select({ id: vehicles.id })
        .from(vehicles)
        .where(eq(vehicles.stockNumber, change.stockNumber));
      if (other && other.id !== id) return "taken";
    }
    if (now.description !== change.description) await rename(tx, "vehicle", id, change.description);
    if (change.stockNumber !== undefined && change.stockNumber !== now.stockNumber)
      await renumberLines(tx, id, change.stockNumber);
    const changed = { ...change, version: version + 1 };
    const [vehicle] = await tx.update(vehicles).set(changed).where(isInStock(id)).returning(SHOWN);
    return vehicle ?? "gone";
  });
}

const isInStock = (id: string) => and(eq(vehicles.id, id), eq(vehicles.inStock, true));

/**
 * Takes a vehicle out of stock; it is kept for as long as a deal names it.
 *
 * @param version the one in view
 * @returns true, or undefined where it was not there; the vehicle as it is now where it was changed since
 */
export async function takeOutOfStock(
  database: Database,
  id: string,
  version: number,
): Promise<true | { changed: KeptVehicle } | undefined> {
  return database.transaction(async tx => {
    await changesStock(tx);
    const [now] = await tx
      .select({ ...SHOWN, costMinor: vehicles.costMinor, invoiceMinor: vehicles.invoiceMinor })
      .from(vehicles)
      .where(isInStock(id))
      .for("update");
    if (!now) return undefined;
    const { costMinor, invoiceMinor, ...shown } = now;
    if (now.version !== version) return { changed: shown };
    await tx
      .update(vehicles)
      .set({ inStock: false, version: sql`${vehicles.version} + 1` })
      .where(isInStock(id));
    await dropIfUnused(tx, { customerId: null, vehicleId: id }, "numbered");
    await tx.delete(jobs).where(isJob({ kind: "forgetCosts", key: id }));
    await addJob(tx, { kind: "forgetCosts", key: id, payload: { costMinor, invoiceMinor } }, KNOWN_SECONDS);
    return true;
  });
}

/** What tells one state of the stock from another. */
export async function stockMark(database: Database): Promise<string> {
  const all = sql<string>`coalesce(sum(hashtextextended(${vehicles.id}::text || ${vehicles.version}, 0)::numeric), 0)::text`;
  const [row] = await database.select({ all }).from(vehicles).where(eq(vehicles.inStock, true));
  return row?.all ?? "";
}
