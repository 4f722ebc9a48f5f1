import { FolderInUse } from "@/data/folder-lock";
import { closeServerDatabase, dataFolder, serverDatabase } from "./database";
import { loadDemo } from "./demo";

/** Opens the database before the first request, loads the demo data where asked, and closes it at the end. */
export async function start(): Promise<void> {
  try {
    const database = await serverDatabase();
    if (process.env.KELLUX_DEMO) await loadDemo(database);
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error;
    console.error(error.message);
    process.exit(1);
  }
  for (const signal of ["SIGINT", "SIGTERM"] as const) {
    process.once(signal, () => void closeServerDatabase().finally(() => process.exit(0)));
  }
  console.warn(`Kellux keeps its data in ${dataFolder()}.`);
}
