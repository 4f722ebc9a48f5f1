import { existsSync, readdirSync, rmSync } from "node:fs";
import { resolve } from "node:path";
import { type BackupFacts, type BackupHead, BackupRefused, readBackup } from "@/exchange/backup";
import { type Database, openDatabase, openFiles } from "./database";
import { dealsAfter } from "./deals";
import { lockFolder } from "./folder/lock";
import { keepPrivate, makeFolder } from "./folder/private";
import { FolderRefused } from "./folder/refused";
import { askReplacing, restoredPath, restoringPath } from "./folder/state";
import { renameOnDisk, syncTree } from "./folder/sync";
import { guarded } from "./keep-deal";
import { knownMigrations, migrate } from "./migrate";
import { keepRows, startRows } from "./restore-rows";

/**
 * Restores a backup into a folder that is empty, or not there yet.
 *
 * @throws BackupRefused where the backup is not whole; FolderRefused where the folder is not empty
 */
export async function restoreIntoEmpty(folder: string, file: string): Promise<BackupFacts> {
  makeFolder(folder);
  if (readdirSync(folder).length > 0) {
    throw new FolderRefused(`The folder ${folder} is not empty; a backup is restored into an empty one.`);
  }
  const unlock = lockFolder(resolve(folder));
  try {
    const facts = await restoreBeside(folder, file);
    askReplacing(folder);
    unlock();
    // Opened once, it is in its place, and seen to open.
    await (await openDatabase(folder)).close();
    return facts;
  } finally {
    unlock();
  }
}

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
  broken?: (why: string) => void,
): Promise<BackupFacts> {
  // Before anything is made of it, it is seen to be whole.
  await readBackup(file, refuseNewer, () => {});
  const path = restoringPath(folder);
  for (const left of [path, restoredPath(folder)]) rmSync(left, { recursive: true, force: true });
  let isWhole = false;
  const { database, checkpoint, close } = await openFiles(path, broken);
  try {
    const facts = await fill(database, file);
    await migrate(database);
    await check(database, facts);
    await checkpoint();
    isWhole = true;
    return facts;
  } finally {
    await close();
    if (isWhole) {
      keepPrivate(path);
      syncTree(path);
      renameOnDisk(path, restoredPath(folder));
    } else if (existsSync(path)) rmSync(path, { recursive: true });
  }
}

function refuseNewer({ migrations }: BackupHead): void {
  if (migrations > knownMigrations())
    throw new BackupRefused("This backup was made by a newer Kellux than this one.");
}

/** So many characters are put into the database at a time, and so many rows. */
const LARGEST_BATCH = 4_000_000;
const MOST_ROWS = 500;

async function fill(database: Database, file: string): Promise<BackupFacts> {
  let batch: { table: string; lines: string[]; size: number } | undefined;
  const keepBatch = async () => {
    if (batch) await keepRows(database, batch.table, batch.lines);
    batch = undefined;
  };
  const begin = async ({ migrations }: BackupHead) => {
    await migrate(database, migrations);
    await startRows(database);
  };
  const row = async (line: string) => {
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

const DEALS_AT_A_TIME = 100;

/** Sees that every deal of the backup is there, and is one. */
async function check(database: Database, { deals }: BackupFacts): Promise<void> {
  let count = 0;
  let after: string | null = null;
  do {
    const { records, last } = await dealsAfter(database, after, DEALS_AT_A_TIME);
    for (const { document } of records) {
      try {
        document.options.forEach(guarded);
      } catch (error) {
        throw new BackupRefused(
          `A deal of “${document.customer}” cannot be read: ${(error as Error).message}`,
        );
      }
    }
    count += records.length;
    after = last;
  } while (after !== null);
  if (count !== deals) throw new BackupRefused(`The backup says it has ${deals} deals, and holds ${count}.`);
}
