import { and, asc, eq, isNotNull, type SQL, sql } from "drizzle-orm";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import type { Database } from "./database";
import { insertRows } from "./insert-rows";
import { dropIfUnused } from "./names";
import { stockArrivals, vehicles } from "./schema";

/** A vehicle in stock as it is kept. */
export type KeptVehicle = Omit<VehicleFile, "costMinor"> & { id: string; version: number };

/** What each vehicle in stock cost the dealer, in minor units, by its id; those of which nothing is known are left out. */
export async function stockCosts(database: Database): Promise<Record<string, number>> {
  const rows = await database
    .select({ id: vehicles.id, costMinor: vehicles.costMinor })
    .from(vehicles)
    .where(and(eq(vehicles.inStock, true), isNotNull(vehicles.costMinor)));
  return Object.fromEntries(rows.map(({ id, costMinor }) => [id, costMinor ?? 0]));
}

const SHOWN = {
  id: vehicles.id,
  description: vehicles.description,
  priceMinor: vehicles.priceMinor,
  listPriceMinor: vehicles.listPriceMinor,
  currency: vehicles.currency,
  version: vehicles.version,
};

/** All vehicles in stock, by their descriptions. */
export async function stockList(database: Database): Promise<KeptVehicle[]> {
  return database
    .select(SHOWN)
    .from(vehicles)
    .where(eq(vehicles.inStock, true))
    .orderBy(asc(vehicles.description));
}

/**
 * Takes in vehicles that are to be stock: from now on they are, though they are put there part by part, because one long
 * statement keeps everybody waiting.
 */
export async function stockArrives(database: Database, stock: readonly VehicleFile[]): Promise<void> {
  await database.insert(stockArrivals).values({ vehicles: [...stock] });
}

/** Puts some of the vehicles into stock that have arrived. Gives back how many; 0 once all are there. */
export async function putInStock(database: Database, most: number): Promise<number> {
  return database.transaction(async tx => {
    const [arrival] = await tx
      .select()
      .from(stockArrivals)
      .orderBy(asc(stockArrivals.at))
      .limit(1)
      .for("update");
    if (!arrival) return 0;
    const [some, rest] = [arrival.vehicles.slice(0, most), arrival.vehicles.slice(most)];
    await keepAll(tx, some);
    const here = eq(stockArrivals.id, arrival.id);
    if (rest.length > 0) await tx.update(stockArrivals).set({ vehicles: rest }).where(here);
    else await tx.delete(stockArrivals).where(here);
    return some.length;
  });
}

/** The vehicles that have arrived and are still to be put into stock. */
export async function arrivingStock(database: Database): Promise<VehicleFile[]> {
  const arriving = await database.select({ vehicles: stockArrivals.vehicles }).from(stockArrivals);
  return arriving.flatMap(each => each.vehicles);
}

/** The vehicles in stock of some descriptions. */
export async function stockCalled(
  database: Database,
  descriptions: readonly string[],
): Promise<KeptVehicle[]> {
  return database.select(SHOWN).from(vehicles).where(isStockCalled(descriptions));
}

const isStockCalled = (descriptions: readonly string[]) =>
  and(
    eq(vehicles.inStock, true),
    sql`${vehicles.description} in (select json_array_elements_text(${JSON.stringify(descriptions)}::json))`,
  );

/** What vehicles in stock of some descriptions cost the dealer. */
export async function costsInStock(
  database: Database,
  descriptions: readonly string[],
): Promise<{ description: string; costMinor: number | null; currency: string }[]> {
  const { description, costMinor, currency } = vehicles;
  return database
    .select({ description, costMinor, currency })
    .from(vehicles)
    .where(isStockCalled(descriptions));
}

/** Keeps vehicles as stock; one that is there already gets the new figures, and keeps its cost where none is told. */
async function keepAll(tx: Database, stock: readonly VehicleFile[]): Promise<void> {
  const byDescription = new Map(stock.map(vehicle => [vehicle.description, { ...vehicle, inStock: true }]));
  const rows = [...byDescription.values()];
  const keep = (some: typeof rows, cost: SQL) =>
    insertRows(
      tx,
      vehicles,
      some,
      sql`on conflict (description) do update set
      price_minor = excluded.price_minor, list_price_minor = excluded.list_price_minor,
      currency = excluded.currency, in_stock = true, version = vehicles.version + 1 ${cost}`,
    );
  await keep(
    rows.filter(({ costMinor }) => costMinor !== undefined),
    sql`, cost_minor = excluded.cost_minor`,
  );
  await keep(
    rows.filter(({ costMinor }) => costMinor === undefined),
    sql``,
  );
}

/** What became of a change of a vehicle; where it was changed since the version in view, the vehicle as it is now. */
type VehicleChange = KeptVehicle | "gone" | "taken" | { changed: KeptVehicle };

/**
 * Changes a vehicle in stock. Of another description it is another vehicle: deals go on naming the one that they were
 * about.
 *
 * @param version the one in view
 */
export async function changeVehicle(
  database: Database,
  id: string,
  version: number,
  change: VehicleFile,
): Promise<VehicleChange> {
  return database.transaction(async tx => {
    const [now] = await tx.select(SHOWN).from(vehicles).where(isInStock(id)).for("update");
    if (!now) return "gone";
    if (now.version !== version) return { changed: now };
    if (now.description === change.description) {
      const changed = { ...change, version: version + 1 };
      const [vehicle] = await tx.update(vehicles).set(changed).where(isInStock(id)).returning(SHOWN);
      return vehicle ?? "gone";
    }
    const [other] = await tx
      .select({ inStock: vehicles.inStock })
      .from(vehicles)
      .where(eq(vehicles.description, change.description));
    if (other?.inStock) return "taken";
    const [known] = await tx.select({ costMinor: vehicles.costMinor }).from(vehicles).where(isInStock(id));
    await takeOut(tx, id);
    await keepAll(tx, [{ costMinor: known?.costMinor ?? null, ...change }]);
    const [vehicle] = await stockCalled(tx, [change.description]);
    return vehicle ?? "gone";
  });
}

const isInStock = (id: string) => and(eq(vehicles.id, id), eq(vehicles.inStock, true));

/**
 * Takes a vehicle out of stock; it is kept for as long as a deal names it.
 *
 * @param version the one in view
 * @returns what it was called and had cost; undefined where it was not there; the vehicle as it is now where it was changed
 *   since
 */
export async function takeOutOfStock(
  database: Database,
  id: string,
  version: number,
): Promise<{ description: string; costMinor: number | null } | { changed: KeptVehicle } | undefined> {
  return database.transaction(async tx => {
    const [now] = await tx
      .select({ ...SHOWN, costMinor: vehicles.costMinor })
      .from(vehicles)
      .where(isInStock(id))
      .for("update");
    if (!now) return undefined;
    const { costMinor, ...shown } = now;
    if (now.version !== version) return { changed: shown };
    await takeOut(tx, id);
    return { description: now.description, costMinor };
  });
}

/** What tells one state of the stock from another. */
export async function stockMark(database: Database): Promise<string> {
  const all = sql<string>`coalesce(sum(hashtextextended(${vehicles.id}::text || ${vehicles.version}, 0)::numeric), 0)::text`;
  const [row] = await database.select({ all }).from(vehicles).where(eq(vehicles.inStock, true));
  return row?.all ?? "";
}

async function takeOut(tx: Database, id: string): Promise<void> {
  await tx
    .update(vehicles)
    .set({ inStock: false, version: sql`${vehicles.version} + 1` })
    .where(isInStock(id));
  await dropIfUnused(tx, { customerId: null, vehicleId: id });
}
