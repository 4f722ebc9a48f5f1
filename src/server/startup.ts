import { FolderRefused } from "@/data/folder/refused";
import { startDailyCopies } from "./backups";
import { dataFolder } from "./data-folder";
import { startRemovingPapers } from "./old-papers";
import { clearReceived } from "./restore-backup";
import { warnOfLowSpace } from "./space";
import { closeServerStore, serverStore } from "./store";

const HOUR_MS = 60 * 60 * 1000;

// What the program around the server asks of it, which is another bundle.
const shared = globalThis as typeof globalThis & { kelluxClose?: () => Promise<void> };

/** Opens the database ahead of the first request, and says how it is closed when the server is told to stop. */
export async function start(): Promise<void> {
  shared.kelluxClose = closeServerStore;
  try {
    const store = await serverStore();
    console.warn(`Kellux keeps its data in ${dataFolder()}.`);
    clearReceived();
    startDailyCopies(store, dataFolder());
    startRemovingPapers(store);
    const warn = () => void warnOfLowSpace(dataFolder());
    warn();
    setInterval(warn, HOUR_MS).unref();
  } catch (error) {
    console.error(error instanceof FolderRefused ? error.message : error);
    process.exit(1);
  }
}
