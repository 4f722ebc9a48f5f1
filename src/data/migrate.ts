import { join } from "node:path";
import { sql } from "drizzle-orm";
import { type MigrationMeta, readMigrationFiles } from "drizzle-orm/migrator";
import { type Database, rowsOf } from "./database";

/** A database that a newer Kellux has kept. */
export class NewerDatabase extends Error {}

/** What Drizzle's own way to migrate needs, which takes no less than all migrations. */
type Migrating = {
  dialect: {
    migrate: (
      migrations: MigrationMeta[],
      session: unknown,
      options: { migrationsFolder: string },
    ) => Promise<void>;
  };
  session: unknown;
};

const migrationsFolder = () => join(process.cwd(), "src/data/migrations");

/** How many migrations this version knows. A backup names the number that its rows were kept with. */
export const knownMigrations = (): number => allMigrations().length;

const allMigrations = (): MigrationMeta[] => readMigrationFiles({ migrationsFolder: migrationsFolder() });

/**
 * Brings a database up to date, or up to one of the versions before.
 *
 * @param count how many migrations it has afterwards; all, where it is left out
 * @throws NewerDatabase where it has migrations that this version does not know
 */
export async function migrate(database: Database, count = Number.POSITIVE_INFINITY): Promise<void> {
  const migrations = allMigrations();
  const newest = migrations.at(-1)?.folderMillis ?? 0;
  const last = await lastMigration(database);
  if (last > newest) throw new NewerDatabase();
  // Whoever may not make tables need not.
  if (last === newest) return;
  const { dialect, session } = database as unknown as Migrating;
  await dialect.migrate(migrations.slice(0, count), session, { migrationsFolder: migrationsFolder() });
}

async function lastMigration(database: Database): Promise<number> {
  const isMigrated = await rowsOf(
    database,
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as is`,
  );
  if (!isMigrated[0]?.is) return 0;
  const [last] = await rowsOf(
    database,
    sql`select max(created_at)::float8 as at from drizzle.__drizzle_migrations`,
  );
  return Number(last?.at ?? 0);
}
