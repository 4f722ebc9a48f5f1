import { and, eq, not, sql } from "drizzle-orm";
import type { Database } from "./database";
import { customers, deals, vehicles } from "./schema";

/** The id of the customer of a name, who is kept where there is none; null for no name. */
export async function customerNamed(database: Database, name: string): Promise<string | null> {
  if (name === "") return null;
  const [customer] = await database
    .insert(customers)
    .values({ name })
    .onConflictDoUpdate({ target: customers.name, set: { name } })
    .returning({ id: customers.id });
  return customer?.id ?? null;
}

/** The id of the vehicle of a description, which is kept where there is none; null for no description. */
export async function vehicleCalled(database: Database, description: string): Promise<string | null> {
  if (description === "") return null;
  const [vehicle] = await database
    .insert(vehicles)
    .values({ description })
    .onConflictDoUpdate({ target: vehicles.description, set: { description } })
    .returning({ id: vehicles.id });
  return vehicle?.id ?? null;
}

/** The customer and the vehicle that a deal names, by id. */
export type Named = { customerId: string | null; vehicleId: string | null };

/** A name that was corrected leaves nothing behind under the old one; vehicles in stock stay. */
export async function dropIfUnused(database: Database, { customerId, vehicleId }: Named): Promise<void> {
  if (customerId !== null) {
    const isUsed = sql`exists (select 1 from ${deals} where ${deals.customerId} = ${customers.id})`;
    await database.delete(customers).where(and(eq(customers.id, customerId), not(isUsed)));
  }
  if (vehicleId !== null) {
    const isUsed = sql`exists (select 1 from ${deals} where ${deals.vehicleId} = ${vehicles.id})`;
    const isLoose = and(eq(vehicles.id, vehicleId), eq(vehicles.inStock, false), not(isUsed));
    await database.delete(vehicles).where(isLoose);
  }
}
