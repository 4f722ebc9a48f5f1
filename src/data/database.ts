import type { SQL } from "drizzle-orm";
import type { PgDatabase, PgQueryResultHKT } from "drizzle-orm/pg-core";
import type * as schema from "./schema";

/** What the queries need: the embedded database, a PostgreSQL server, or a transaction of either. No query knows which. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

/** The rows of a query in SQL, each value as the driver gives it: whole numbers of eight bytes may be text. */
export async function rowsOf<Row = Record<string, unknown>>(database: Database, query: SQL): Promise<Row[]> {
  return ((await database.execute(query)) as unknown as { rows: Row[] }).rows;
}
