import { sql } from "drizzle-orm";
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

/** A name that was corrected leaves nothing behind under the old one; vehicles of the stock list stay. */
export async function dropUnusedNames(database: Database): Promise<void> {
  await database
    .delete(customers)
    .where(sql`not exists (select 1 from ${deals} where ${deals.customerId} = ${customers.id})`);
  await database.delete(vehicles).where(
    sql`${vehicles.priceMinor} is null
        and not exists (select 1 from ${deals} where ${deals.vehicleId} = ${vehicles.id})`,
  );
}
