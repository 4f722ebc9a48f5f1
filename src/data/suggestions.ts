import { and, asc, eq, like, not, or, type SQL, sql } from "drizzle-orm";
import type { AnyPgColumn } from "drizzle-orm/pg-core";
import type { Named } from "@/exchange/deal-document";
import type { SeenBy } from "@/exchange/people";
import type { Database } from "./database";
import { isNamedBySeen } from "./deal-people";
import { escapedPattern } from "./pattern";
import { customers, deals, vehicles } from "./schema";
import { type KeptVehicle, SHOWN } from "./shown-vehicle";

/** A customer who can be picked, and by what one is told from another of the same name. */
export type KnownCustomer = Named & {
  /** What the last deal was about, and when that changed (ISO 8601 instant); null where there is none. */
  last: { vehicle: string; at: string } | null;
};

/** A vehicle that can be picked; one that is not in stock has the prices that it was sold at, or none. */
export type StockVehicle = KeptVehicle & { inStock: boolean };

/** How many are suggested at a time. */
const MOST_SUGGESTED = 12;

type Column = AnyPgColumn;

/** Those of which some column begins with a text; and those that hold it further on, of which there may be too many to be sorted. */
const patternsOf = (columns: readonly Column[], text: string): SQL[] => {
  const pattern = escapedPattern(text.toLowerCase());
  const any = (of: string) => or(...columns.map(column => like(sql`lower(${column})`, of))) as SQL;
  const begins = any(`${pattern}%`);
  const holds = and(any(`%${pattern}%`), sql`(${not(begins)}) is not false`) as SQL;
  return [begins, holds];
};

/** Customers whose names hold a text, those that begin with it first. */
export async function customersLike(
  database: Database,
  text: string,
  seenBy?: SeenBy,
): Promise<KnownCustomer[]> {
  const isSeen = isNamedBySeen(database, deals.customerId, customers.id, seenBy);
  const found: KnownCustomer[] = [];
  for (const where of patternsOf([customers.name], text)) {
    const most = MOST_SUGGESTED - found.length;
    if (most === 0) break;
    const rows = await database
      .select({ id: customers.id, name: customers.name, last: LAST_DEAL })
      .from(customers)
      .where(and(where, isSeen))
      .orderBy(asc(customers.name), asc(customers.id))
      .limit(most);
    found.push(...rows);
  }
  return found;
}

const LAST_DEAL = sql<KnownCustomer["last"]>`(
  select json_build_object('vehicle', coalesce((select description from vehicles where id = deal.vehicle_id), ''),
    'at', to_char(deal.changed_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"'))
  from ${deals} deal where deal.customer_id = customers.id and deal.deleted_at is null
  order by deal.changed_at desc limit 1)`;

/**
 * Vehicles whose description or stock number holds a text, those in stock first, and of them those that begin with it. Of
 * those that are not and that nothing tells apart, one.
 */
export async function vehiclesLike(
  database: Database,
  text: string,
  seenBy?: SeenBy,
): Promise<StockVehicle[]> {
  const isSeen = isNamedBySeen(database, deals.vehicleId, vehicles.id, seenBy);
  const { description, stockNumber, inStock } = vehicles;
  const found: StockVehicle[] = [];
  for (const isInStock of [true, false])
    for (const where of patternsOf([description, stockNumber], text)) {
      const most = MOST_SUGGESTED - found.length;
      if (most === 0) break;
      const apart = isInStock ? [description, stockNumber, vehicles.id] : [description, stockNumber];
      const rows = await database
        .selectDistinctOn(apart, { ...SHOWN, inStock })
        .from(vehicles)
        .where(and(eq(inStock, isInStock), where, isInStock ? undefined : isSeen))
        .orderBy(...apart.map(column => asc(column)))
        .limit(most);
      found.push(...rows);
    }
  return found;
}
