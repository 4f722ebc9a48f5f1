import { mkdirSync } from "node:fs";
import { join, resolve } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { pg_trgm } from "@electric-sql/pglite/contrib/pg_trgm";
import type { PgDatabase, PgQueryResultHKT } from "drizzle-orm/pg-core";
import { drizzle } from "drizzle-orm/pglite";
import { migrate } from "drizzle-orm/pglite/migrator";
import { lockFolder } from "./folder-lock";
import * as schema from "./schema";

/** What the queries need: PGlite, a PostgreSQL server, or a transaction of either. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;

export type OpenDatabase = { database: Database; close: () => Promise<void> };

/**
 * Opens the database in a data folder, which is made if it is not there, and brings it up to date.
 *
 * @throws FolderInUse where another process has the folder open
 */
export async function openDatabase(folder: string): Promise<OpenDatabase> {
  mkdirSync(folder, { recursive: true });
  const unlock = lockFolder(resolve(folder));
  try {
    const client = await PGlite.create(join(folder, "database"), { extensions: { pg_trgm } });
    const database = drizzle(client, { schema, casing: "snake_case" });
    await migrate(database, { migrationsFolder: join(process.cwd(), "src/data/migrations") });
    return {
      database,
      close: async () => {
        await client.close();
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw error;
  }
}
