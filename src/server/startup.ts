import { FolderInUse } from "@/data/folder-lock";
import { closeServerStore, dataFolder, serverStore } from "./store";

/** Opens the database ahead of the first request, and closes it when the server is told to stop. */
export async function start(): Promise<void> {
  for (const signal of ["SIGINT", "SIGTERM"] as const) {
    process.once(signal, () => void closeServerStore().finally(() => process.exit(0)));
  }
  try {
    await serverStore();
    console.warn(`Kellux keeps its data in ${dataFolder()}.`);
  } catch (error) {
    console.error(error instanceof FolderInUse ? error.message : error);
    process.exit(1);
  }
}
