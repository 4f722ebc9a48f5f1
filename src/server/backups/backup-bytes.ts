import { createWriteStream, rmSync } from "node:fs";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import { renameOnDisk, syncToDisk } from "@/data/folder/sync";
import type { Store } from "@/data/store";
import { takingTurns } from "@/data/turns";
import { type BackupParts, backupText } from "@/exchange/backup";

/** So few that others are served in between. */
const DEALS_AT_A_TIME = 50;

async function* partsOf(store: Store, first: string[]): BackupParts {
  yield { lines: first, deals: 0 };
  const rest = takingTurns();
  let after: string | null = null;
  do {
    const { lines, deals, last } = await store.backupPart(after, DEALS_AT_A_TIME);
    yield { lines, deals };
    after = last;
    await rest();
  } while (after !== null);
}

/** All that is kept, as the bytes of a backup. What is saved while it is read may be in it or not, each deal whole. */
export async function backupBytes(store: Store): Promise<Readable> {
  const { migrations, lines } = await store.backupStart();
  const text = Readable.from(backupText(partsOf(store, lines), migrations, new Date()));
  const packed = createGzip();
  pipeline(text, packed).catch(error => packed.destroy(error));
  return packed;
}

/** Writes a backup to a file, which is there whole and on the disk, or not at all. */
export async function writeBackup(bytes: Readable, path: string): Promise<void> {
  const unfinished = `${path}.unfinished`;
  try {
    await pipeline(bytes, createWriteStream(unfinished, { mode: 0o600 }));
    syncToDisk(unfinished, false);
    renameOnDisk(unfinished, path);
  } finally {
    rmSync(unfinished, { force: true });
  }
}
