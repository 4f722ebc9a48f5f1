import { asc } from "drizzle-orm";
import type { Database } from "./database";
import { customers, vehicles } from "./schema";

/** A vehicle that can be picked, with its asking price in minor units where it is known. */
export type StockVehicle = { description: string; priceMinor: number | null; currency: string };

/** The names of all customers, in alphabetical order. */
export async function listCustomerNames(database: Database): Promise<string[]> {
  const rows = await database.select({ name: customers.name }).from(customers).orderBy(asc(customers.name));
  return rows.map(row => row.name);
}

/** All vehicles, in alphabetical order. */
export async function listVehicles(database: Database): Promise<StockVehicle[]> {
  const { description, priceMinor, currency } = vehicles;
  return database.select({ description, priceMinor, currency }).from(vehicles).orderBy(asc(description));
}

/** Keeps vehicles as stock; one that is there already gets the new price. */
export async function keepVehicles(database: Database, stock: StockVehicle[]): Promise<void> {
  for (const vehicle of stock) {
    const { priceMinor, currency } = vehicle;
    await database
      .insert(vehicles)
      .values({ ...vehicle, inStock: true })
      .onConflictDoUpdate({ target: vehicles.description, set: { priceMinor, currency, inStock: true } });
  }
}
