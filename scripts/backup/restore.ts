// Restores a backup into an empty data folder, or into an empty database of a server.
import { existsSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { restoreIntoEmpty } from "@/data/embedded/restore";
import { serverName } from "@/data/postgres/open-server";
import type { BackupFacts } from "@/exchange/backup";
import { dataFolder } from "@/server/data-folder";
import { databaseUrl } from "@/server/data-place";
import { lookAtKept } from "@/server/kept-rows";
import { restoreOntoServer } from "@/server/restore-onto-server";
import { fail } from "./fail";

/** Restores a file, and says what was in it. Gives the exit code. */
export async function restore(path: string | undefined): Promise<number> {
  if (!path) return fail("Say which file to restore: npm run restore -- FILE");
  if (!existsSync(path)) return fail(`There is no file ${resolve(path)}.`);
  const url = databaseUrl();
  try {
    const file = resolve(path);
    const { deals, made } = url
      ? await restoreOnServer(url, file)
      : await restoreIntoEmpty(dataFolder(), file, lookAtKept);
    console.log(
      `${deals} deals of the backup of ${made} are in ${url ? `the database ${serverName(url)}` : resolve(dataFolder())}.`,
    );
    return 0;
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}

/** By way of a folder that goes afterwards. */
async function restoreOnServer(url: string, file: string): Promise<BackupFacts> {
  const folder = mkdtempSync(join(tmpdir(), "kellux-restoring-"));
  try {
    return (await restoreOntoServer(url, folder, file)).facts;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
