import { sql } from "drizzle-orm";
import { type Database, rowsOf } from "./database";
import { knownMigrations } from "./migrate";

/** Rows as lines of a backup, and where the next part goes on. */
type BackupPart = {
  lines: string[];
  /** The digests of the bytes that its papers name: they come one by one, before its lines. */
  blobs: string[];
  deals: number;
  /** The id after which the next part begins; null after the last. */
  last: string | null;
};

/** What stands for itself, and the version of the tables. */
export async function backupStart(
  database: Database,
): Promise<Pick<BackupPart, "lines" | "blobs"> & { migrations: number }> {
  const rows = await linesOf(
    database,
    sql`select 'people' as name, row_to_json(r)::text as row, 0 as place from people r
      union all select 'credentials', row_to_json(r)::text, 1 from credentials r
      union all select 'second_factors', row_to_json(r)::text, 1 from second_factors r
      union all select 'house_secrets', row_to_json(r)::text, 1 from house_secrets r
      union all select 'doings', row_to_json(r)::text, 1 from doings r
      union all select 'settings', row_to_json(r)::text, 1 from settings r
      union all select 'vehicles', row_to_json(r)::text, 2 from vehicles r where in_stock
      union all select 'jobs', row_to_json(r)::text, 3 from jobs r
      union all select 'lenders', row_to_json(r)::text, 3 from lenders r
      union all select 'blob', to_json(file->'papers'->'logo'->>'sha256')::text, 4 from settings
        where file->'papers'->'logo'->>'sha256' is not null`,
  );
  return { migrations: knownMigrations(), ...apart(rows) };
}

/** The bytes of a digest, as a line of a backup: a row a statement, for papers are large. Undefined where they are gone. */
export async function backupBlob(database: Database, sha256: string): Promise<string | undefined> {
  const [line] = await linesOf(
    database,
    sql`select 'blobs' as name, row_to_json(r)::text as row, 1 as place from blobs r where sha256 = ${sha256}`,
  );
  return line;
}

/** Lines without those that name bytes, and what these name. */
function apart(lines: readonly string[]): Pick<BackupPart, "lines" | "blobs"> {
  const isBlob = (line: string) => line.startsWith('{"table":"blob",');
  return {
    lines: lines.filter(line => !isBlob(line)),
    blobs: lines.filter(isBlob).map(line => (JSON.parse(line) as { row: string }).row),
  };
}

/**
 * All that is kept of the next deals, with the customers and vehicles that they name: one statement, so that each deal is
 * as it was at one moment. Between two parts others are served.
 *
 * @param after the last id of the part before; null for the first part
 */
export async function backupPart(
  database: Database,
  after: string | null,
  most: number,
): Promise<BackupPart> {
  const part = sql`select id, customer_id, vehicle_id from deals
    where ${after === null ? sql`true` : sql`id > ${after}::uuid`} order by id limit ${most}`;
  const ofDeals = (table: string, place: number) => sql`
    union all select ${table}, row_to_json(r)::text, ${place}::int from ${sql.identifier(table)} r where deal_id in (select id from part)`;
  const lines = await linesOf(
    database,
    sql`with part as materialized (${part})
      select 'part' as name, coalesce(json_agg(id order by id), '[]')::text as row, 0 as place from part
      union all select 'customers', row_to_json(r)::text, 1 from customers r where id in (select customer_id from part)
      union all select 'vehicles', row_to_json(r)::text, 2 from vehicles r where id in (select vehicle_id from part)
      union all select 'deals', row_to_json(r)::text, 3 from deals r where id in (select id from part)
      union all select distinct 'blob', to_json(sha256)::text, 4 from papers
        where deal_id in (select id from part) and sha256 is not null
      ${ofDeals("papers", 5)} ${ofDeals("options", 4)} ${ofDeals("deal_changes", 5)} ${ofDeals("signings", 6)} ${ofDeals("register_lines", 7)} ${ofDeals("deal_parts", 8)} ${ofDeals("deal_people", 9)} ${ofDeals("releases", 9)}`,
  );
  const [first = "", ...rows] = lines;
  const ids = (JSON.parse(first) as { row: string[] }).row;
  return { ...apart(rows), deals: ids.length, last: ids.length === most ? (ids.at(-1) ?? null) : null };
}

/** The text of a row is the database's own, and stays as it is: numbers of any length come through whole. */
async function linesOf(database: Database, query: ReturnType<typeof sql>): Promise<string[]> {
  const rows = await rowsOf<{ name: string; row: string }>(database, sql`${query} order by place`);
  return rows.map(({ name, row }) => `{"table":${JSON.stringify(name)},"row":${row}}`);
}
