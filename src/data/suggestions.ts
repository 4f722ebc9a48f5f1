import { asc, desc, ilike } from "drizzle-orm";
import type { AnyPgColumn } from "drizzle-orm/pg-core";
import type { Database } from "./database";
import { escapedPattern } from "./pattern";
import { customers, vehicles } from "./schema";

/** A vehicle that can be picked, with its prices in minor units where they are known. */
export type StockVehicle = {
  description: string;
  priceMinor: number | null;
  listPriceMinor: number | null;
  currency: string;
  /** One that is not has the prices that it was sold at, or none. */
  inStock: boolean;
};

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
  const { description, priceMinor, listPriceMinor, currency, inStock } = vehicles;
  const { where, order } = holding(description, text);
  return database
    .select({ description, priceMinor, listPriceMinor, currency, inStock })
    .from(vehicles)
    .where(where)
    .orderBy(desc(vehicles.inStock), ...order)
    .limit(MOST_SUGGESTED);
}
