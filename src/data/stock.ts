import { and, asc, eq } from "drizzle-orm";
import type { Database } from "./database";
import { dropIfUnused } from "./names";
import { vehicles } from "./schema";

/** A vehicle that can be sold. Amounts in minor units of its currency; null where they are not known. */
export type Stocked = {
  description: string;
  priceMinor: number | null;
  costMinor: number | null;
  listPriceMinor: number | null;
  currency: string;
};

/** The same as it is kept. */
export type KeptVehicle = Stocked & { id: string };

const SHOWN = {
  id: vehicles.id,
  description: vehicles.description,
  priceMinor: vehicles.priceMinor,
  costMinor: vehicles.costMinor,
  listPriceMinor: vehicles.listPriceMinor,
  currency: vehicles.currency,
};

/** All vehicles in stock, by their descriptions. */
export async function stockList(database: Database): Promise<KeptVehicle[]> {
  return database
    .select(SHOWN)
    .from(vehicles)
    .where(eq(vehicles.inStock, true))
    .orderBy(asc(vehicles.description));
}

/** Keeps vehicles as stock, all or none; one that is there already gets the new figures. */
export async function keepVehicles(
  database: Database,
  stock: readonly (Partial<Stocked> & Pick<Stocked, "description">)[],
): Promise<KeptVehicle[]> {
  return database.transaction(tx => keepAll(tx, stock));
}

async function keepAll(tx: Database, stock: Parameters<typeof keepVehicles>[1]): Promise<KeptVehicle[]> {
  const kept: KeptVehicle[] = [];
  for (const { description, ...figures } of stock) {
    const [vehicle] = await tx
      .insert(vehicles)
      .values({ description, ...figures, inStock: true })
      .onConflictDoUpdate({ target: vehicles.description, set: { ...figures, inStock: true } })
      .returning(SHOWN);
    if (vehicle) kept.push(vehicle);
  }
  return kept;
}

/** What became of a change of a vehicle. */
export type VehicleChange = KeptVehicle | "gone" | "taken";

/**
 * Changes a vehicle in stock. Of another description it is another vehicle: deals go on naming the one that they were
 * about.
 */
export async function changeVehicle(database: Database, id: string, change: Stocked): Promise<VehicleChange> {
  return database.transaction(async tx => {
    const [now] = await tx.select(SHOWN).from(vehicles).where(isInStock(id)).for("update");
    if (!now) return "gone";
    if (now.description === change.description) {
      const [vehicle] = await tx.update(vehicles).set(change).where(isInStock(id)).returning(SHOWN);
      return vehicle ?? "gone";
    }
    const [other] = await tx
      .select({ inStock: vehicles.inStock })
      .from(vehicles)
      .where(eq(vehicles.description, change.description));
    if (other?.inStock) return "taken";
    await takeOut(tx, id);
    const [vehicle] = await keepAll(tx, [change]);
    return vehicle ?? "gone";
  });
}

const isInStock = (id: string) => and(eq(vehicles.id, id), eq(vehicles.inStock, true));

/** Takes a vehicle out of stock; it is kept for as long as a deal names it. Gives back whether it was there. */
export async function takeOutOfStock(database: Database, id: string): Promise<boolean> {
  return database.transaction(tx => takeOut(tx, id));
}

async function takeOut(tx: Database, id: string): Promise<boolean> {
  const gone = await tx
    .update(vehicles)
    .set({ inStock: false })
    .where(isInStock(id))
    .returning({ id: vehicles.id });
  await dropIfUnused(tx, { customerId: null, vehicleId: id });
  return gone.length > 0;
}
