// Backs everything up into a file, from the app while it runs, or from its data folder while it does not.
import { existsSync, statSync } from "node:fs";
import { dirname, resolve } from "node:path";
import { Readable } from "node:stream";
import { type Claim, holderOf } from "@/data/embedded/claim";
import { readClaim } from "@/data/embedded/lock";
import { openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import { FolderRefused } from "@/data/folder/refused";
import { openStoreOnServer } from "@/data/postgres/open-store-on-server";
import { readBackup } from "@/exchange/backup";
import { sizeText } from "@/exchange/text";
import { backupBytes, writeBackup } from "@/server/backups";
import { dataFolder } from "@/server/data-folder";
import { databaseUrl } from "@/server/data-place";
import { fail } from "./fail";

/** Backs up to a file, and says what is in it. Gives the exit code. */
export async function backup(path: string | undefined): Promise<number> {
  if (!path) return fail("Say which file to write: npm run backup -- FILE");
  const file = resolve(path);
  if (existsSync(file)) return fail(`${file} is there already; name a new file.`);
  if (!existsSync(dirname(file))) return fail(`There is no folder ${dirname(file)}.`);
  try {
    await writeAll(file);
    const { deals, rows } = await readBackup(
      file,
      () => {},
      () => {},
    );
    console.log(
      `${file}: ${deals} deals, ${rows} rows, ${sizeText(statSync(file).size)}, read again and whole.`,
    );
    return 0;
  } catch (error) {
    return fail(error instanceof Error ? error.message : String(error));
  }
}

async function writeAll(file: string): Promise<void> {
  const url = databaseUrl();
  if (url) return writeAllOfServer(url, file);
  const folder = dataFolder();
  const claim = existsSync(folder) ? readClaim(folder) : undefined;
  if (claim && holderOf(claim) !== "gone") return writeBackup(await askApp(claim), file);
  if (!existsSync(folder)) throw new FolderRefused(`There is no data folder ${resolve(folder)}.`);
  const { database, sync, close } = await openDatabase(folder);
  try {
    await writeBackup(
      await backupBytes(async () => ({ store: storeOf(database, sync), end: async () => {} })),
      file,
    );
  } finally {
    await close();
  }
}

/** All that is on a server at one moment, whatever processes are at work on it. */
async function writeAllOfServer(url: string, file: string): Promise<void> {
  const { snapshot, close } = openStoreOnServer(url);
  try {
    await writeBackup(await backupBytes(snapshot), file);
  } finally {
    await close();
  }
}

async function askApp({ address, key }: Partial<Claim>): Promise<Readable> {
  const at = address ?? `http://127.0.0.1:${process.env.PORT || 4310}`;
  const headers = { ...(key && { Authorization: `Bearer ${key}` }) };
  const response = await fetch(`${at}/api/backup`, { headers }).catch(() => undefined);
  if (!response?.ok || !response.body) {
    throw new Error(`The app that has the data folder open does not give a backup (asked at ${at}).`);
  }
  return Readable.fromWeb(response.body as Parameters<typeof Readable.fromWeb>[0]);
}
