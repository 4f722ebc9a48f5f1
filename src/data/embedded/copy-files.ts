import {
  constants,
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  rmSync,
  statfsSync,
  statSync,
} from "node:fs";
import { copyFile, mkdir } from "node:fs/promises";
import { dirname, join } from "node:path";

/** What tells one state of a file from another, by its path within the database. */
type States = Map<string, string>;

/**
 * Copies the files of a database that is in use, as they are at one moment: a database opened on them recovers to what was
 * kept then. Nearly all is copied while the work goes on; what has changed by the end is copied once more at once, and that
 * is all that anybody waits for.
 *
 * @param flush ends once what was kept is in the files
 */
export async function copyFiles(from: string, to: string, flush: () => Promise<void>): Promise<void> {
  rmSync(to, { recursive: true, force: true });
  refuseWithoutRoom(from, dirname(to));
  const copied: States = new Map();
  for (const [path, state] of statesOf(from)) {
    copied.set(path, state);
    await mkdir(dirname(join(to, path)), { recursive: true, mode: 0o700 });
    // One that is gone by now is not missed.
    await copyFile(join(from, path), join(to, path), constants.COPYFILE_FICLONE).catch(() =>
      copied.delete(path),
    );
  }
  await flush();
  copyChanged(from, to, copied);
}

/** What is left for the database itself, whose log has to be written meanwhile. */
const SPARE_BYTES = 200_000_000;

/** A copy that filled the disk would stop the database that it is of. */
function refuseWithoutRoom(from: string, to: string): void {
  const size = [...statesOf(from).values()].reduce((sum, state) => sum + Number(state.split(" ")[1]), 0);
  const { bavail, bsize } = statfsSync(to);
  if (bavail * bsize < size + SPARE_BYTES)
    throw Object.assign(new Error("There is no room for a copy of the data, which a backup is made of."), {
      code: "ENOSPC",
    });
}

function copyChanged(from: string, to: string, copied: States): void {
  const now = statesOf(from);
  for (const path of foldersOf(from)) mkdirSync(join(to, path), { recursive: true, mode: 0o700 });
  for (const [path, state] of now)
    if (copied.get(path) !== state)
      copyFileSync(join(from, path), join(to, path), constants.COPYFILE_FICLONE);
  for (const path of copied.keys()) if (!now.has(path)) rmSync(join(to, path), { force: true });
}

const entriesOf = (folder: string) => readdirSync(folder, { recursive: true, withFileTypes: true });

/** The folders of a database: it needs those that are empty, too. */
const foldersOf = (folder: string): string[] =>
  entriesOf(folder)
    .filter(entry => entry.isDirectory())
    .map(entry => join(entry.parentPath ?? entry.path, entry.name).slice(folder.length + 1));

function statesOf(folder: string): States {
  const files = entriesOf(folder).filter(entry => entry.isFile());
  return new Map(
    files.flatMap(entry => {
      const path = join(entry.parentPath ?? entry.path, entry.name);
      const stats = existsSync(path) ? statSync(path) : undefined;
      return stats ? [[path.slice(folder.length + 1), `${stats.mtimeMs} ${stats.size}`] as const] : [];
    }),
  );
}
