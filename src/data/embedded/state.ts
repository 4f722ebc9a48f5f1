import { existsSync, lstatSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { rm } from "node:fs/promises";
import { basename, join } from "node:path";
import { newestCopy } from "../folder/copies";
import { FolderRefused } from "../folder/refused";
import { writeWhole } from "../folder/sync";

/**
 * How far the database of a data folder is: being made for the first time, or whole (all of it was on the disk once); and
 * which of the folders in it holds the database, for a restored one has a place of its own.
 */
type State = { database: "making" | "whole"; at?: string };

const statePath = (folder: string) => join(folder, "database.json");

const FIRST_PLACE = "database";
const PLACE = /^database(\.\d+)?$/;

/** Where the database is, and where one is while it is being restored. */
export const databasePath = (folder: string) => join(folder, readState(folder)?.at ?? FIRST_PLACE);
export const restoringPath = (folder: string) => join(folder, "database.restoring");

const SNAPSHOT = /^database\.snapshot\.\d+$/;
let snapshots = 0;

/** A place for a copy of the database while it is read at length. */
export const snapshotPlace = (): string => `database.snapshot.${++snapshots}`;

function readState(folder: string): State | undefined {
  try {
    const state = JSON.parse(readFileSync(statePath(folder), "utf8")) as State;
    return PLACE.test(state.at ?? FIRST_PLACE) ? state : undefined;
  } catch {
    return undefined;
  }
}

const writeState = (folder: string, state: State) =>
  writeWhole(statePath(folder), `${JSON.stringify(state)}\n`);

/** The places that hold something. */
const usedPlaces = (folder: string) => readdirSync(folder).filter(name => PLACE.test(name));

/** A place in a data folder where no database is. */
export function freePlace(folder: string): string {
  const used = new Set(usedPlaces(folder));
  let place = FIRST_PLACE;
  for (let number = 1; used.has(place); number++) place = `${FIRST_PLACE}.${number}`;
  return place;
}

/** Where the last stop has noted what is kept. */
export const lastStopPath = (folder: string) => join(folder, "last-stop.json");

/** Notes nothing of a database whose place another one takes. */
export const forgetLastStop = (folder: string): void => rmSync(lastStopPath(folder), { force: true });

const remove = (path: string) => rmSync(path, { recursive: true, force: true });

/** The version of PostgreSQL that reads the database; it writes it into the folder. */
const POSTGRES = "18";

/**
 * Brings the database's folder into order before it is opened: a first start that was cut off begins anew, what is left of a
 * restoring that was cut off goes, and what a restored one has taken the place of. What is whole is left alone.
 *
 * @returns whether the database is there; else it is to be made
 * @throws FolderRefused where it should be there, and is not, or not whole
 */
export function settleFolder(folder: string): boolean {
  const state = readState(folder);
  const database = databasePath(folder);
  remove(restoringPath(folder));
  for (const name of readdirSync(folder)) if (SNAPSHOT.test(name)) remove(join(folder, name));
  // Nothing was acknowledged before the folder was whole.
  if (state?.database === "making") {
    remove(database);
    forgetLastStop(folder);
  }
  const others = usedPlaces(folder).filter(place => place !== basename(database));
  const isThere = existsSync(database);
  if (!isThere && (state?.database === "whole" || others.length > 0)) {
    throw new FolderRefused(
      `The data folder ${folder} has lost its database: the folder ${database} is not there. ${wayBack(folder)}`,
    );
  }
  // Versions of before made the folder first, and were perhaps cut off then.
  const isEmpty = isThere && lstatSync(database).isDirectory() && readdirSync(database).length === 0;
  if (isEmpty && state?.database === "whole")
    throw new FolderRefused(
      `The data folder ${folder} has lost its database: the folder ${database} is empty. ${wayBack(folder)}`,
    );
  if (isEmpty) remove(database);
  if (!existsSync(database)) {
    writeState(folder, { database: "making" });
    return false;
  }
  refuseIfNotWhole(folder);
  if (state?.database === "whole") for (const place of others) remove(join(folder, place));
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
export const isMarkedWhole = (folder: string): boolean => readState(folder)?.database === "whole";

export const markWhole = (folder: string): void =>
  writeState(folder, { database: "whole", at: basename(databasePath(folder)) });

/** Has the database at a place be the one of the folder, from now on and at once. It must be whole, and on the disk. */
export function takePlace(folder: string, place: string): void {
  forgetLastStop(folder);
  writeState(folder, { database: "whole", at: place });
}

/** Removes the database at a place that is not the folder's own any more. */
export function removePlace(folder: string, path: string): Promise<void> {
  if (path === databasePath(folder)) throw new Error("This database is in use.");
  return rm(path, { recursive: true, force: true });
}
