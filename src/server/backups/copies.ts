import { existsSync, mkdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import { COPY, copiesFolder, type KeptCopy, listCopies } from "@/data/folder/copies";

export { type KeptCopy, listCopies };

/** What is kept, the newest first, and for how many days a copy stays. */
export type KeptCopies = { copies: readonly KeptCopy[]; days: number };

const DAYS_KEPT = 14;
const DAY_MS = 24 * 60 * 60 * 1000;

/** Where a copy of such a name is to be; undefined where it is no name of a copy. */
export function copyPath(dataFolder: string, name: string): string | undefined {
  if (!COPY.test(name)) return undefined;
  mkdirSync(copiesFolder(dataFolder), { recursive: true, mode: 0o700 });
  return join(copiesFolder(dataFolder), name);
}

/** Where a copy of such a name is; undefined where there is none. */
export function keptCopy(dataFolder: string, name: string): string | undefined {
  const path = copyPath(dataFolder, name);
  return path !== undefined && existsSync(path) ? path : undefined;
}

/** The name of a copy of a day; the one made before something is restored has its time as well. */
export function copyName(at: Date, isBeforeRestoring = false): string {
  const [day = "", time = ""] = at.toISOString().split("T");
  return `kellux-${day}${isBeforeRestoring ? `-before-restoring-${time.slice(0, 8).replaceAll(":", "")}` : ""}.ndjson.gz`;
}

export const keptCopies = (dataFolder: string): KeptCopies => ({
  copies: listCopies(dataFolder),
  days: DAYS_KEPT,
});

/** Whether the day's copy is still to be made. */
export function isCopyDue(copies: readonly KeptCopy[], now: Date): boolean {
  const [newest] = copies.filter(({ name }) => name <= copyName(now) && !name.includes("before"));
  return newest === undefined || newest.name < copyName(now);
}

/** Drops copies that are older than that; the newest stays, however old it is. */
export function dropOldCopies(dataFolder: string, now: Date): void {
  for (const { name } of listCopies(dataFolder).slice(1)) {
    const day = /\d{4}-\d{2}-\d{2}/.exec(name)?.[0] ?? "";
    if (now.getTime() - Date.parse(day) > (DAYS_KEPT + 1) * DAY_MS)
      rmSync(join(copiesFolder(dataFolder), name));
  }
}
