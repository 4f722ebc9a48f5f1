import { asc, desc, ilike } from "drizzle-orm";
import type { AnyPgColumn } from "drizzle-orm/pg-core";
import type { Database } from "./database";
import { escapedPattern } from "./pattern";
import { customers, vehicles } from "./schema";

/** A vehicle that can be picked, with its asking price in minor units where it is known. */
export type StockVehicle = { description: string; priceMinor: number | null; currency: string };

/** How many are suggested at a time. */
const MOST_SUGGESTED = 12;

/** A text as a pattern of names that hold it, those that begin with it first. */
const holding = (column: AnyPgColumn, text: string) => ({
  where: ilike(column, `%${escapedPattern(text)}%`),
  order: [desc(ilike(column, `${escapedPattern(text)}%`)), asc(column)],
});

/** The names of customers that hold a text. */
export async function customersLike(database: Database, text: string): Promise<string[]> {
  const { where, order } = holding(customers.name, text);
  const rows = await database
    .select({ name: customers.name })
    .from(customers)
    .where(where)
    .orderBy(...order)
    .limit(MOST_SUGGESTED);
  return rows.map(row => row.name);
}

/** The vehicles whose description holds a text, those in stock first. */
export async function vehiclesLike(database: Database, text: string): Promise<StockVehicle[]> {
  const { description, priceMinor, currency } = vehicles;
  const { where, order } = holding(description, text);
  return database
    .select({ description, priceMinor, currency })
    .from(vehicles)
    .where(where)
    .orderBy(desc(vehicles.inStock), ...order)
    .limit(MOST_SUGGESTED);
}
