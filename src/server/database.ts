import { type Database, type OpenDatabase, openDatabase } from "@/data/database";

// Kept on the process, because bundles of the server each have their own copy of this module.
const process_ = globalThis as typeof globalThis & { kelluxDatabase?: Promise<OpenDatabase> };

/** The data folder of this server. */
export function dataFolder(): string {
  return process.env.KELLUX_DATA_DIR || ".kellux";
}

/** The server's one database, opened at the first call. */
export async function serverDatabase(): Promise<Database> {
  process_.kelluxDatabase ??= openDatabase(dataFolder());
  return (await process_.kelluxDatabase).database;
}

/** Closes the database, if it was opened. */
export async function closeServerDatabase(): Promise<void> {
  await (await process_.kelluxDatabase)?.close();
}
