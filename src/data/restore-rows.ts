import { sql } from "drizzle-orm";
import { BackupRefused } from "@/exchange/backup";
import type { Database } from "./database";

/** What a backup may hold rows of. */
const TABLES = new Set([
  "settings",
  // Of before there were jobs.
  "arrivals",
  "stock_arrivals",
  "jobs",
  "blobs",
  "papers",
  "customers",
  "vehicles",
  "deals",
  "options",
  "deal_changes",
  "signings",
  "register_lines",
  "deal_parts",
  "lenders",
  "people",
  "credentials",
  "second_factors",
  "house_secrets",
  "doings",
  "deal_people",
  "releases",
]);

/** From then on customers and vehicles are themselves, not their names. */
const WITH_RECORDS = 21;

/** By what a customer or a vehicle that is there under another id is seen to be the same: no two can have it. */
const sameBy = (migrations: number): Partial<Record<string, string>> =>
  migrations < WITH_RECORDS ? { customers: "name", vehicles: "description" } : { vehicles: "stock_number" };

/**
 * Makes ready for rows: a customer or a vehicle can be in a backup under two ids, because others went on working while it
 * was made and the name, or the stock number, was dropped and came back.
 */
export async function startRows(database: Database): Promise<void> {
  await database.execute(
    sql`create temporary table same_records (lost uuid primary key, kept uuid not null)`,
  );
}

/**
 * Keeps rows of one table, as lines of a backup. A row that is there already stays as it is.
 *
 * @param migrations the version of the tables that the backup was made of
 */
export async function keepRows(
  database: Database,
  table: string,
  lines: readonly string[],
  migrations: number,
): Promise<void> {
  if (!TABLES.has(table)) {
    throw new BackupRefused(
      "The backup holds something that this Kellux does not know. Nothing was restored.",
    );
  }
  const given = sql`json_array_elements(${`[${lines.join(",")}]`}::json) line`;
  try {
    if (table === "deals") await keepDeals(database, given);
    else {
      await database.execute(sql`insert into ${sql.identifier(table)}
        select row.* from ${given}, json_populate_record(null::${sql.identifier(table)}, line->'row') row on conflict do nothing`);
    }
    const column = sameBy(migrations)[table];
    if (column) await noteSame(database, given, table, column);
  } catch (error) {
    const cause = (error as Error).cause ?? error;
    throw new BackupRefused(`Rows of “${table}” cannot be kept: ${(cause as Error).message}.`);
  }
}

const noteSame = (database: Database, given: ReturnType<typeof sql>, table: string, name: string) =>
  database.execute(sql`insert into same_records
    select (line->'row'->>'id')::uuid, kept.id from ${given}
    join ${sql.identifier(table)} kept on kept.${sql.identifier(name)} = line->'row'->>${name}
    where kept.id <> (line->'row'->>'id')::uuid on conflict do nothing`);

const keepDeals = (database: Database, given: ReturnType<typeof sql>) =>
  database.execute(sql`insert into deals select row.* from ${given}
    left join same_records customer on customer.lost = (line->'row'->>'customer_id')::uuid
    left join same_records vehicle on vehicle.lost = (line->'row'->>'vehicle_id')::uuid,
    jsonb_populate_record(null::deals, (line->'row')::jsonb || jsonb_strip_nulls(
      jsonb_build_object('customer_id', customer.kept, 'vehicle_id', vehicle.kept))) row on conflict do nothing`);
