import { dirname } from "node:path";
import { withoutBytes } from "@/data/folder/blob-files";
import type { Store } from "@/data/store";
import { backupBytes, writeBackup } from "./backup-bytes";
import { copyName, copyPath, dropOldCopies, isCopyDue, listCopies } from "./copies";

const HOUR_MS = 60 * 60 * 1000;
/** After a start the officer comes first. */
const FIRST_MS = 30_000;

/** Copies everything into the data folder, under the name of a copy; papers once for all copies. */
export async function keepCopy(
  store: Store,
  dataFolder: string,
  name: string,
  now = new Date(),
): Promise<void> {
  const path = copyPath(dataFolder, name);
  if (!path) return;
  await writeBackup(await backupBytes(store, line => withoutBytes(dirname(path), line, now)), path);
}

/** Makes the copy of the day where it is still to be made, and drops those that are too old. */
export async function keepDailyCopy(store: Store, dataFolder: string, now = new Date()): Promise<void> {
  if (!isCopyDue(listCopies(dataFolder), now) || !(await store.hasDeals())) return;
  await keepCopy(store, dataFolder, copyName(now), now);
  dropOldCopies(dataFolder, now);
}

/** Sees to the copy of each day for as long as the server runs. */
export function startDailyCopies(store: Store, dataFolder: string, firstMs = FIRST_MS): void {
  const keep = () =>
    void keepDailyCopy(store, dataFolder).catch(error => console.error("The day's copy:", error));
  setTimeout(keep, firstMs).unref();
  setInterval(keep, HOUR_MS).unref();
}
