import { linkSync, readFileSync, renameSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";

/** Said when another live process holds the data folder. */
export class FolderInUse extends Error {}

type Holder = { pid: number; started: string };

/**
 * Claims a data folder for this process, so that two servers never write the same database. A claim left
 * behind by a process that was killed is taken over.
 *
 * @returns a function that gives the folder back
 * @throws FolderInUse with a sentence for the person at the terminal
 */
export function lockFolder(folder: string): () => void {
  const path = join(folder, "in-use.json");
  const own = `${path}.${process.pid}`;
  writeFileSync(own, JSON.stringify({ pid: process.pid, started: startOf(process.pid) }));
  try {
    for (let attempt = 0; attempt < 2; attempt++) {
      // A link is made whole or not at all, and never over a file that is there.
      if (tryLink(own, path)) return () => rmSync(path, { force: true });
      const holder = readHolder(path);
      if (holder && isAlive(holder)) {
        throw new FolderInUse(
          `The data folder ${folder} is in use by another Kellux (process ${holder.pid}). ` +
            "Stop that one, or set KELLUX_DATA_DIR to another folder.",
        );
      }
      setAside(path, holder);
    }
    throw new FolderInUse(`The data folder ${folder} is being opened by another Kellux right now.`);
  } finally {
    rmSync(own, { force: true });
  }
}

function tryLink(from: string, to: string): boolean {
  try {
    linkSync(from, to);
    return true;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "EEXIST") return false;
    throw error;
  }
}

/** Removes a claim left behind, unless another process put its own in that place in the meantime. */
function setAside(path: string, leftBehind: Holder | undefined): void {
  const aside = `${path}.${process.pid}.old`;
  try {
    renameSync(path, aside);
  } catch {
    return;
  }
  const taken = readHolder(aside);
  if (taken?.pid !== leftBehind?.pid || taken?.started !== leftBehind?.started) tryLink(aside, path);
  rmSync(aside, { force: true });
}

function readHolder(path: string): Holder | undefined {
  try {
    return JSON.parse(readFileSync(path, "utf8")) as Holder;
  } catch {
    return undefined;
  }
}

/** Alive means the same process, not a later one that was given the same number. */
function isAlive({ pid, started }: Holder): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "ESRCH") return false;
  }
  return startOf(pid) === started;
}

const STATE = 0;
const START_TIME = 19;

/**
 * When a process started, where the system tells; the same text for every process where it does not. A
 * process that ended and was not yet cleared away by its parent never started.
 */
function startOf(pid: number): string {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ").at(-1)?.split(" ") ?? [];
    return fields[STATE] === "Z" ? "ended" : (fields[START_TIME] ?? "");
  } catch {
    return "";
  }
}
