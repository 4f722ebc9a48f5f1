import { join } from "node:path";
import { openFiles } from "@/data/embedded/open-folder";
import { type RestoredBeside, restoreBeside } from "@/data/embedded/restore";
import { carryToServer } from "@/data/postgres/carry-to-server";
import { lookAtKept } from "./kept-rows";

/** What goes with restoring onto a server. */
type Onto = {
  /** Is told of an error after which nothing more comes of it. */
  broken?: (why: string) => void;
  /** Copies what is there, which the backup takes the place of; where it is left out, the database has to be empty. */
  taking?: () => Promise<void>;
};

/**
 * Restores a backup onto a PostgreSQL server, by way of a folder of its own, in which it is seen to be whole.
 *
 * @param folder an empty one, which the caller removes
 * @throws BackupRefused or DataRefused with a sentence; the server's data is as it was then
 */
export async function restoreOntoServer(
  url: string,
  folder: string,
  file: string,
  { broken, taking }: Onto = {},
): Promise<RestoredBeside> {
  const restored = await restoreBeside(folder, file, lookAtKept, broken);
  const { database, close } = await openFiles(join(folder, restored.place), broken);
  try {
    await database.transaction(from => carryToServer(from, url, taking));
  } finally {
    await close();
  }
  return restored;
}
