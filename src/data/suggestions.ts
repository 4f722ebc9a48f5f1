import { and, asc, eq, like, not, sql } from "drizzle-orm";
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

/** Those that begin with a text; and those that hold it further on, of which there may be too many to be sorted. */
const patternsOf = (column: AnyPgColumn, text: string) => {
  const pattern = escapedPattern(text.toLowerCase());
  const lower = sql`lower(${column})`;
  const begins = like(lower, `${pattern}%`);
  return [begins, and(like(lower, `%${pattern}%`), not(begins))] as const;
};

/** The names of customers that hold a text, those that begin with it first. */
export async function customersLike(database: Database, text: string): Promise<string[]> {
  const found: string[] = [];
  for (const where of patternsOf(customers.name, text)) {
    const most = MOST_SUGGESTED - found.length;
    if (most === 0) break;
    const rows = await database
      .select({ name: customers.name })
      .from(customers)
      .where(where)
      .orderBy(asc(customers.name))
      .limit(most);
    found.push(...rows.map(({ name }) => name));
  }
  return found;
}

/** The vehicles whose description holds a text, those in stock first, and of them those that begin with it. */
export async function vehiclesLike(database: Database, text: string): Promise<StockVehicle[]> {
  const { description, priceMinor, listPriceMinor, currency, inStock } = vehicles;
  const found: StockVehicle[] = [];
  for (const isInStock of [true, false])
    for (const where of patternsOf(description, text)) {
      const most = MOST_SUGGESTED - found.length;
      if (most === 0) break;
      const rows = await database
        .select({ description, priceMinor, listPriceMinor, currency, inStock })
        .from(vehicles)
        .where(and(eq(inStock, isInStock), where))
        .orderBy(asc(description))
        .limit(most);
      found.push(...rows);
    }
  return found;
}
