import { once } from "node:events";
import { existsSync, mkdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import { PassThrough, type Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import { dropBlobFiles, withBytes } from "@/data/folder/blob-files";
import { COPY, copiesFolder, type KeptCopy, listCopies } from "@/data/folder/copies";
import { rewriteBackup } from "@/exchange/backup";

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

/** Drops copies that are older than that; the newest stays, however old it is. What papers only they had goes with them. */
export function dropOldCopies(dataFolder: string, now: Date): void {
  for (const { name } of listCopies(dataFolder).slice(1))
    if (now.getTime() - dayOf(name).getTime() > (DAYS_KEPT + 1) * DAY_MS)
      rmSync(join(copiesFolder(dataFolder), name));
  const days = listCopies(dataFolder).map(({ name }) => dayOf(name).getTime());
  if (days.length > 0) dropBlobFiles(copiesFolder(dataFolder), new Date(Math.min(...days)));
}

/** The day that a copy is called by, from its beginning in UTC. */
const dayOf = (name: string) => new Date(/\d{4}-\d{2}-\d{2}/.exec(name)?.[0] ?? 0);

/** A copy as one file that stands for itself: with the bytes that it shares with others. */
export function wholeCopy(path: string): Readable {
  const text = new PassThrough();
  const write = async (piece: string) => {
    if (!text.write(piece)) await once(text, "drain");
  };
  const packed = createGzip();
  pipeline(text, packed).catch(error => packed.destroy(error));
  rewriteBackup(path, line => withBytes(path, line) ?? line, write).then(
    () => text.end(),
    error => text.destroy(error),
  );
  return packed;
}
