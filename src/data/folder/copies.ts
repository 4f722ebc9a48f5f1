import { existsSync, readdirSync, statSync } from "node:fs";
import { join } from "node:path";

/** A copy of everything that the server keeps by itself. */
export type KeptCopy = {
  name: string;
  /** ISO 8601 instant. */
  made: string;
  bytes: number;
};

/** What a copy is called. */
export const COPY = /^kellux-\d{4}-\d{2}-\d{2}(-before-restoring-\d{6})?\.ndjson\.gz$/;

/** Where the copies are. */
export const copiesFolder = (dataFolder: string) => join(dataFolder, "backups");

/** The copies that are there, the newest first. */
export function listCopies(dataFolder: string): KeptCopy[] {
  const folder = copiesFolder(dataFolder);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter(name => COPY.test(name))
    .map(name => {
      const { mtime, size } = statSync(join(folder, name));
      return { name, made: mtime.toISOString(), bytes: size };
    })
    .sort((one, other) => (one.made < other.made ? 1 : -1));
}

/** The path of the newest of them; undefined where there is none. */
export function newestCopy(dataFolder: string): string | undefined {
  const [newest] = listCopies(dataFolder);
  return newest && join(copiesFolder(dataFolder), newest.name);
}
