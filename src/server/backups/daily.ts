import { dirname } from "node:path";
import { withoutBytes } from "@/data/folder/blob-files";
import type { OpenStore, Snapshot } from "@/data/open-store";
import { oneAtATime } from "../jobs/one-at-a-time";
import { backupBytes, writeBackup } from "./backup-bytes";
import { copyName, copyPath, dropOldCopies, isCopyDue, listCopies } from "./copies";

/** Looked for each hour, and more often, for another process may have ended. */
const HOUR_SECONDS = 60 * 60 - 60;
const LOOK_MS = 10 * 60 * 1000;
/** After a start the officer comes first. */
const FIRST_MS = 30_000;

/** Copies everything into the data folder, under the name of a copy; papers once for all copies. */
export async function keepCopy(
  take: () => Promise<Snapshot>,
  dataFolder: string,
  name: string,
  now = new Date(),
): Promise<void> {
  const path = copyPath(dataFolder, name);
  if (!path) return;
  await writeBackup(await backupBytes(take, line => withoutBytes(dirname(path), line, now)), path);
}

/** What a copy is made of. */
type Copied = Pick<OpenStore, "store" | "snapshot">;

/** Makes the copy of the day where it is still to be made, and drops those that are too old. */
export async function keepDailyCopy(
  { store, snapshot }: Copied,
  dataFolder: string,
  now = new Date(),
): Promise<void> {
  if (!isCopyDue(listCopies(dataFolder), now) || !(await store.hasDeals())) return;
  await keepCopy(snapshot, dataFolder, copyName(now), now);
  dropOldCopies(dataFolder, now);
}

/**
 * Sees to the copy of each day for as long as the server runs.
 *
 * @param isKeeper whether it is this process, of all that work on the same data, that keeps the copies
 */
export function startDailyCopies(
  copied: Copied,
  dataFolder: string,
  isKeeper: () => Promise<boolean> = async () => true,
  firstMs = FIRST_MS,
): void {
  const keepOne = () => keepDailyCopy(copied, dataFolder);
  const keep = async () => {
    if (await isKeeper()) await oneAtATime(copied.store, "keepCopy", keepOne, HOUR_SECONDS);
  };
  const look = () => void keep().catch(error => console.error("The day's copy:", error));
  setTimeout(look, firstMs).unref();
  setInterval(look, LOOK_MS).unref();
}
