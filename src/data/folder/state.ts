import { existsSync, lstatSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { newestCopy } from "./copies";
import { FolderRefused } from "./refused";
import { renameOnDisk, writeWhole } from "./sync";

/**
 * How far the database of a data folder is: being made for the first time, whole (all of it was on the disk once), or
 * to be replaced by one that was restored beside it.
 */
type State = "making" | "whole" | "replacing";

const statePath = (folder: string) => join(folder, "database.json");

/** Where the database is; one that is being restored; a restored one before it takes that place; whose place it took. */
export const databasePath = (folder: string) => join(folder, "database");
export const restoringPath = (folder: string) => join(folder, "database.restoring");
export const restoredPath = (folder: string) => join(folder, "database.restored");
const replacedPath = (folder: string) => join(folder, "database.replaced");

function readState(folder: string): State | undefined {
  try {
    return (JSON.parse(readFileSync(statePath(folder), "utf8")) as { database: State }).database;
  } catch {
    return undefined;
  }
}

const writeState = (folder: string, database: State) =>
  writeWhole(statePath(folder), `${JSON.stringify({ database })}\n`);

/** Where the last stop has noted what is kept. */
export const lastStopPath = (folder: string) => join(folder, "last-stop.json");

/** Notes nothing of a database whose place another one takes. */
export const forgetLastStop = (folder: string): void => rmSync(lastStopPath(folder), { force: true });

const remove = (path: string) => rmSync(path, { recursive: true, force: true });

/** The version of PostgreSQL that reads the database; it writes it into the folder. */
const POSTGRES = "18";

/**
 * Brings the database's folder into order before it is opened: a first start that was cut off begins anew, a
 * replacement is finished. What is whole is left alone.
 *
 * @returns whether the database is there; else it is to be made
 * @throws FolderRefused where it should be there, and is not, or not whole
 */
export function settleFolder(folder: string): boolean {
  const state = readState(folder);
  const database = databasePath(folder);
  if (state === "replacing") replace(folder);
  remove(restoringPath(folder));
  remove(replacedPath(folder));
  // Nothing was acknowledged before the folder was whole.
  if (state === "making") {
    remove(database);
    forgetLastStop(folder);
  }
  const isThere = existsSync(database);
  if (!isThere && (state === "whole" || state === "replacing")) {
    throw new FolderRefused(
      `The data folder ${folder} has lost its database: the folder ${database} is not there. ${wayBack(folder)}`,
    );
  }
  // Versions of before made the folder first, and were perhaps cut off then.
  const isEmpty = isThere && lstatSync(database).isDirectory() && readdirSync(database).length === 0;
  if (isEmpty && state === "whole")
    throw new FolderRefused(
      `The data folder ${folder} has lost its database: the folder ${database} is empty. ${wayBack(folder)}`,
    );
  if (isEmpty) remove(database);
  if (!existsSync(database)) {
    writeState(folder, "making");
    return false;
  }
  refuseIfNotWhole(folder);
  return true;
}

/** What every database has; the tables of this one are in base/5. */
const PARTS = ["PG_VERSION", "global/pg_control", "base/1", "base/5", "pg_wal", "pg_xact"];

function refuseIfNotWhole(folder: string): void {
  const database = databasePath(folder);
  const missing = PARTS.find(part => !existsSync(join(database, part)));
  if (missing) throw damaged(folder, `${missing} is not there`);
  const version = readFileSync(join(database, "PG_VERSION"), "utf8").trim();
  if (version !== POSTGRES) {
    throw new FolderRefused(
      `The database in ${database} was made by version ${version.slice(0, 20)} of PostgreSQL, and this Kellux reads version ${POSTGRES}. ` +
        "Open it with the Kellux that made it, make a backup there, and restore that here.",
    );
  }
}

/** Said of a database that is there and cannot be opened, or has lost something; nothing in it was changed. */
export const damaged = (folder: string, why: string): FolderRefused =>
  new FolderRefused(
    `The database in ${databasePath(folder)} is damaged (${why}). Nothing was changed. ${wayBack(folder)}`,
  );

/** What can be done where a database is damaged or lost. */
export function wayBack(folder: string): string {
  const newest = newestCopy(folder);
  return newest
    ? `Bring the folder back as it was, or restore its newest copy into an empty folder: set KELLUX_DATA_DIR to that, and run npm run restore -- "${newest}".`
    : "Bring the folder back as it was, or restore a backup into an empty folder.";
}

/** Whether all of the database was on the disk once. */
export const isMarkedWhole = (folder: string): boolean => readState(folder) === "whole";

export const markWhole = (folder: string): void => writeState(folder, "whole");

/**
 * Has the restored database, which must be closed and on the disk, take the place of the present one at the next
 * opening. A cut at any moment leaves one of the two.
 */
export function askReplacing(folder: string): void {
  if (!existsSync(restoredPath(folder))) throw new Error("There is no restored database.");
  writeState(folder, "replacing");
}

function replace(folder: string): void {
  const [database, restored, replaced] = [databasePath(folder), restoredPath(folder), replacedPath(folder)];
  if (existsSync(restored)) {
    if (existsSync(database)) renameOnDisk(database, replaced);
    renameOnDisk(restored, database);
  }
  forgetLastStop(folder);
  writeState(folder, "whole");
}
