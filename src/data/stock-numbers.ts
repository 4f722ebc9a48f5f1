import { and, eq, inArray, isNull } from "drizzle-orm";
import type { DealHeading, Named } from "@/exchange/deal-document";
import type { Database } from "./database";
import { vehicles } from "./schema";

/** The vehicles of some stock numbers, by these. */
export async function vehiclesNumbered(
  tx: Database,
  numbers: readonly string[],
): Promise<Map<string, Named>> {
  if (numbers.length === 0) return new Map();
  const rows = await tx
    .select({ id: vehicles.id, name: vehicles.description, stockNumber: vehicles.stockNumber })
    .from(vehicles)
    .where(inArray(vehicles.stockNumber, [...new Set(numbers)]));
  return new Map(rows.map(({ id, name, stockNumber }) => [stockNumber ?? "", { id, name }]));
}

/** Gives vehicles their stock numbers, where they have none yet. */
export async function giveNumbers(tx: Database, numbers: ReadonlyMap<string, string>): Promise<void> {
  for (const [stockNumber, id] of numbers)
    await tx
      .update(vehicles)
      .set({ stockNumber })
      .where(and(eq(vehicles.id, id), isNull(vehicles.stockNumber)));
}

/** The stock number of the vehicle that a deal is about; undefined where it is about none, or that has none. */
export async function stockNumberOf(
  tx: Database,
  { vehicle }: Pick<DealHeading, "vehicle">,
): Promise<string | undefined> {
  return vehicle && (await stockNumbersOf(tx, [vehicle.id])).get(vehicle.id);
}

/** The stock numbers of some vehicles, by their ids; those that have none are left out. */
export async function stockNumbersOf(
  database: Database,
  ids: readonly string[],
): Promise<Map<string, string>> {
  if (ids.length === 0) return new Map();
  const rows = await database
    .select({ id: vehicles.id, stockNumber: vehicles.stockNumber })
    .from(vehicles)
    .where(inArray(vehicles.id, [...ids]));
  return new Map(rows.flatMap(({ id, stockNumber }) => (stockNumber === null ? [] : [[id, stockNumber]])));
}
