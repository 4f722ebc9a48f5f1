import { type Database, type OpenDatabase, openDatabase } from "@/data/database";
import { loadDemo } from "./demo";
import { startFigures } from "./figures";

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxDatabase?: Promise<OpenDatabase> };

/** The data folder of this server. */
export function dataFolder(): string {
  return process.env.KELLUX_DATA_DIR || ".kellux";
}

/** The server's one database, opened at the first call, with the demo data where that is asked for. */
export async function serverDatabase(): Promise<Database> {
  shared.kelluxDatabase ??= open();
  return (await shared.kelluxDatabase).database;
}

async function open(): Promise<OpenDatabase> {
  const opened = await openDatabase(dataFolder());
  if (process.env.KELLUX_DEMO) await loadDemo(opened.database);
  await startFigures(opened.database);
  return opened;
}

/** Closes the database, if it was opened. */
export async function closeServerDatabase(): Promise<void> {
  await (await shared.kelluxDatabase)?.close();
}
