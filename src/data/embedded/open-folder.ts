import { join, resolve } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { pg_trgm } from "@electric-sql/pglite/contrib/pg_trgm";
import { drizzle } from "drizzle-orm/pglite";
import type { Database } from "../database";
import { failureOf } from "../failure";
import { keepPrivate, makeFolder } from "../folder/private";
import { FolderRefused } from "../folder/refused";
import { syncTree } from "../folder/sync";
import { freeJobs } from "../jobs";
import { migrate, NewerDatabase } from "../migrate";
import * as schema from "../schema";
import { copyFiles } from "./copy-files";
import { noteStop, refuseLoss } from "./last-stop";
import { lockFolder, unlockFolder } from "./lock";
import { type SharedSync, sharedSync } from "./shared-sync";
import { damaged, databasePath, forgetLastStop, isMarkedWhole, markWhole, settleFolder } from "./state";
import { SyncedFiles } from "./synced-files";

export type OpenDatabase = {
  database: Database;
  /** What was saved is on the disk once this has been waited for. */
  sync: SharedSync;
  /** Puts what the log holds into the tables' own files, so that it can be short again. */
  checkpoint: () => Promise<void>;
  /** Copies its files, as they are at one moment, to another place. */
  copyTo: (path: string) => Promise<void>;
  close: () => Promise<void>;
};

/**
 * As the embedded database starts by itself, but with the disk: it syncs, by the one call that this build of it has; and
 * what is saved waits for the disk together with what else is saved, in {@link sharedSync}, instead of each by itself.
 */
const START = [
  ...PGlite.defaultStartParams.filter(parameter => parameter !== "-F"),
  ...["-c", "wal_sync_method=fsync", "-c", "synchronous_commit=off"],
  // What a checkpoint leaves of the log, which it would else keep for later.
  ...["-c", "min_wal_size=32MB", "-c", "max_wal_size=64MB"],
];

/** Writes nothing that is kept, and has all that was written before it put on the disk. */
const SYNC = "select pg_logical_emit_message(false, 'kellux', '', true)";

/**
 * Opens the database in a data folder, which is made if it is not there, and brings it up to date.
 *
 * @param broken is told of an error after which the database answers no more
 * @param step is called as each statement begins
 * @throws FolderRefused where the folder cannot be used; FolderInUse where another process has it open
 */
export async function openDatabase(
  folder: string,
  broken: (why: string) => void = () => {},
  step: () => void = () => {},
): Promise<OpenDatabase> {
  makeFolder(folder);
  const unlock = lockFolder(resolve(folder));
  try {
    const isThere = settleFolder(folder);
    const path = databasePath(folder);
    const opened = await openFiles(path, broken, why => damaged(folder, why), step);
    await refuseLoss(opened.database, folder)
      .then(() => migrate(opened.database))
      // Whoever was at work in this folder is no more.
      .then(() => freeJobs(opened.database, ["bringInDeals", "makeFigures", "makeIncome", "keepSignings"]))
      .catch(async error => {
        await opened.close();
        throw openingRefusal(folder, error);
      });
    keepPrivate(path);
    if (!isThere || !isMarkedWhole(folder)) {
      await opened.checkpoint();
      syncTree(path);
      markWhole(folder);
    }
    return { ...opened, close: () => closeAt(folder, path, opened) };
  } catch (error) {
    unlock();
    throw error;
  }
}

/**
 * Opens a restored database of a data folder of which this process has the present one open: it is to take its place.
 *
 * @param place where in the folder it is
 */
export async function openRestored(
  folder: string,
  place: string,
  broken: (why: string) => void = () => {},
  step: () => void = () => {},
): Promise<OpenDatabase> {
  const path = join(folder, place);
  const opened = await openFiles(path, broken, why => damaged(folder, why), step);
  return { ...opened, close: () => closeAt(folder, path, opened) };
}

/** Closes a database. With the one of the folder, as it is by then, the folder is given back. */
async function closeAt(
  folder: string,
  path: string,
  opened: Awaited<ReturnType<typeof openFiles>>,
): Promise<void> {
  const isOfFolder = path === databasePath(folder);
  if (isOfFolder) await noteStop(opened.database, folder).catch(() => forgetLastStop(folder));
  await opened.close();
  if (isOfFolder) unlockFolder(resolve(folder));
}

function openingRefusal(folder: string, error: Error): Error {
  if (error instanceof FolderRefused) return error;
  if (!(error instanceof NewerDatabase)) return damaged(folder, failureOf(error).message);
  return new FolderRefused(
    `The data folder ${folder} was kept by a newer Kellux than this one. Nothing was changed; start the newer one.`,
  );
}

/** Opens the files of a database, which are made where there are none. */
export async function openFiles(
  path: string,
  broken: (why: string) => void = () => {},
  refusal: (why: string) => Error = why =>
    new FolderRefused(`The database in ${path} cannot be opened: ${why}.`),
  step: () => void = () => {},
) {
  let last = "";
  const hear = (line: string) => {
    const [, level, why = ""] = FATAL.exec(line) ?? [];
    if (level === undefined) return false;
    last = why;
    if (level === "PANIC") broken(why);
    return false;
  };
  const client = await PGlite.create({
    fs: new SyncedFiles(path),
    extensions: { pg_trgm },
    startParams: START,
    onStderr: hear,
  }).catch(error => {
    throw refusal(last || (error as Error).message);
  });
  const database = drizzle(client, { schema, casing: "snake_case", logger: { logQuery: step } });
  const sync = sharedSync(begins =>
    client.transaction(async tx => {
      begins();
      await tx.query(SYNC);
    }),
  );
  return {
    database: database as Database,
    sync,
    checkpoint: () => client.exec("checkpoint").then(() => {}),
    copyTo: (to: string) => copyFiles(path, to, sync.synced),
    close: () => client.close(),
  };
}

/** What the database writes of itself: "2027-01-08 09:00:00.000 UTC [42] PANIC:  could not write". */
const FATAL = /\b(PANIC|FATAL):\s+(.*)/;
