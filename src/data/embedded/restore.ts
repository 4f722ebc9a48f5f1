import { existsSync, readdirSync, rmSync } from "node:fs";
import { join, resolve } from "node:path";
import { type BackupFacts, type BackupHead, BackupRefused, readBackup } from "@/exchange/backup";
import type { Database } from "../database";
import { dealCount } from "../deals";
import { withBytes } from "../folder/blob-files";
import { keepPrivate, makeFolder } from "../folder/private";
import { FolderRefused } from "../folder/refused";
import { renameOnDisk, syncTree } from "../folder/sync";
import { knownMigrations, migrate } from "../migrate";
import { keepRows, startRows } from "../restore-rows";
import { lockFolder } from "./lock";
import { openDatabase, openFiles } from "./open-folder";
import { freePlace, restoringPath, takePlace } from "./state";

/**
 * Restores a backup into a folder that is empty, or not there yet.
 *
 * @throws BackupRefused where the backup is not whole; FolderRefused where the folder is not empty
 */
export async function restoreIntoEmpty(folder: string, file: string, look: Look): Promise<BackupFacts> {
  makeFolder(folder);
  if (readdirSync(folder).length > 0) {
    throw new FolderRefused(`The folder ${folder} is not empty; a backup is restored into an empty one.`);
  }
  const unlock = lockFolder(resolve(folder));
  try {
    const { facts, place } = await restoreBeside(folder, file, look);
    takePlace(folder, place);
    unlock();
    // Opened once, it is in its place, and seen to open.
    await (await openDatabase(folder)).close();
    return facts;
  } finally {
    unlock();
  }
}

/** Looks at what a backup has brought, and says what of it could not have been kept; undefined where all could. */
type Look = (database: Database) => Promise<string | undefined>;

/** A backup as it was restored: what is told of it, and where in the data folder its database is. */
export type RestoredBeside = { facts: BackupFacts; place: string };

/**
 * Restores a backup into a database beside the one of a data folder, which goes on meanwhile: all of it, checked and on
 * the disk, or nothing.
 *
 * @param broken is told of an error after which nothing more comes of it
 * @throws BackupRefused with a sentence
 */
export async function restoreBeside(
  folder: string,
  file: string,
  look: Look,
  broken?: (why: string) => void,
): Promise<RestoredBeside> {
  // Before anything is made of it, it is seen to be whole.
  await readBackup(file, refuseNewer, line => void wholeLine(file, line));
  const path = restoringPath(folder);
  rmSync(path, { recursive: true, force: true });
  let isWhole = false;
  const place = freePlace(folder);
  const { database, checkpoint, close } = await openFiles(path, broken);
  try {
    const facts = await fill(database, file);
    await migrate(database);
    await check(database, facts, look);
    await checkpoint();
    isWhole = true;
    return { facts, place };
  } finally {
    await close();
    if (isWhole) {
      keepPrivate(path);
      syncTree(path);
      renameOnDisk(path, join(folder, place));
    } else if (existsSync(path)) rmSync(path, { recursive: true });
  }
}

function refuseNewer({ migrations }: BackupHead): void {
  if (migrations > knownMigrations())
    throw new BackupRefused("This backup was made by a newer Kellux than this one.");
}

/** A line with the bytes that a copy shares with others. */
function wholeLine(file: string, line: string): string {
  const whole = withBytes(file, line);
  if (whole !== undefined) return whole;
  throw new BackupRefused(
    "A paper of this copy is not in the folder “blobs” beside it. Nothing was restored.",
  );
}

/** So many characters are put into the database at a time, and so many rows. */
const LARGEST_BATCH = 4_000_000;
const MOST_ROWS = 500;

async function fill(database: Database, file: string): Promise<BackupFacts> {
  let version = 0;
  let batch: { table: string; lines: string[]; size: number } | undefined;
  const keepBatch = async () => {
    if (batch) await keepRows(database, batch.table, batch.lines, version);
    batch = undefined;
  };
  const begin = async ({ migrations }: BackupHead) => {
    version = migrations;
    await migrate(database, migrations);
    await startRows(database);
  };
  const row = async (given: string) => {
    const line = wholeLine(file, given);
    const table = TABLE.exec(line)?.[1] ?? "";
    const isFull = batch && (batch.lines.length >= MOST_ROWS || batch.size + line.length > LARGEST_BATCH);
    if (batch?.table !== table || isFull) await keepBatch();
    batch ??= { table, lines: [], size: 0 };
    batch.lines.push(line);
    batch.size += line.length;
  };
  const facts = await readBackup(file, begin, row);
  await keepBatch();
  return facts;
}

const TABLE = /^\{"table":"([a-z_]+)","row":\{/;

/** Sees that every deal of the backup is there, and that all that it holds could have been kept. */
async function check(database: Database, { deals }: BackupFacts, look: Look): Promise<void> {
  const count = await dealCount(database);
  if (count !== deals) throw new BackupRefused(`The backup says it has ${deals} deals, and holds ${count}.`);
  const sentence = await look(database);
  if (sentence) throw new BackupRefused(`${sentence} Nothing was restored.`);
}
