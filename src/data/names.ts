import { type AnyColumn, and, eq, not, sql } from "drizzle-orm";
import type { Database } from "./database";
import { customers, deals, vehicles } from "./schema";

type Ids = ReadonlyMap<string, string>;

/** The ids of the customers of some names, who are kept where there are none; no name has none. */
export const customersNamed = (database: Database, names: readonly string[]): Promise<Ids> =>
  idsOf(database, customers, customers.name, names);

/** The ids of the vehicles of some descriptions, which are kept where there are none; no description has none. */
export const vehiclesCalled = (database: Database, descriptions: readonly string[]): Promise<Ids> =>
  idsOf(database, vehicles, vehicles.description, descriptions);

async function idsOf(
  database: Database,
  table: typeof customers | typeof vehicles,
  column: AnyColumn,
  names: readonly string[],
): Promise<Ids> {
  const some = [...new Set(names)].filter(name => name !== "");
  if (some.length === 0) return new Map();
  const name = sql.identifier(column.name);
  // Those that are there are held, so that nobody drops them meanwhile.
  const { rows } = (await database.execute(sql`insert into ${table} (${name})
    select * from json_array_elements_text(${JSON.stringify(some)}::json)
    on conflict (${name}) do update set ${name} = excluded.${name} returning ${name} as name, id`)) as unknown as {
    rows: { name: string; id: string }[];
  };
  return new Map(rows.map(row => [row.name, row.id]));
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
