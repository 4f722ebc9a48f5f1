// Restores a backup into an empty data folder.
import { existsSync } from "node:fs";
import { resolve } from "node:path";
import { restoreIntoEmpty } from "@/data/restore";
import { dataFolder } from "@/server/data-folder";
import { lookAtKept } from "@/server/kept-rows";
import { fail } from "./fail";

/** Restores a file, and says what was in it. Gives the exit code. */
export async function restore(path: string | undefined): Promise<number> {
  if (!path) return fail("Say which file to restore: npm run restore -- FILE");
  if (!existsSync(path)) return fail(`There is no file ${resolve(path)}.`);
  try {
    const { deals, made } = await restoreIntoEmpty(dataFolder(), resolve(path), lookAtKept);
    console.log(`${deals} deals of the backup of ${made} are in ${resolve(dataFolder())}.`);
    return 0;
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}
