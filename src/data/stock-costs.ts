import { and, eq, sql } from "drizzle-orm";
import type { Database } from "./database";
import { vehicles } from "./schema";

/** Whether a vehicle is in stock and one of some. */
export const isInStockAmong = (ids: readonly string[]) =>
  and(
    eq(vehicles.inStock, true),
    sql`${vehicles.id} in (select json_array_elements_text(${JSON.stringify(ids)}::json)::uuid)`,
  );

/** What vehicles in stock cost the dealer, by their ids. */
export async function costsInStock(
  database: Database,
  ids: readonly string[],
): Promise<{ id: string; costMinor: number | null; currency: string }[]> {
  const { id, costMinor, currency } = vehicles;
  return database.select({ id, costMinor, currency }).from(vehicles).where(isInStockAmong(ids));
}
