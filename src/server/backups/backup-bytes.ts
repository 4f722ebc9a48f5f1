import { createWriteStream, rmSync } from "node:fs";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import { sayUnlessAway } from "@/data/away";
import { renameOnDisk, syncToDisk } from "@/data/folder/sync";
import type { Snapshot } from "@/data/open-store";
import type { Store } from "@/data/store";
import { takingTurns } from "@/data/turns";
import { type BackupParts, backupText } from "@/exchange/backup";

/** So few that others are served in between. */
const DEALS_AT_A_TIME = 50;

type Rows = { lines: readonly string[]; blobs: readonly string[] };

async function* partsOf(store: Store, first: Rows, change: (line: string) => string): BackupParts {
  const said = new Set<string>();
  const rest = takingTurns();
  yield* bytesOf(store, first, said, change);
  yield { lines: first.lines.map(change), deals: 0 };
  let after: string | null = null;
  do {
    const { lines, blobs, deals, last } = await store.backupPart(after, DEALS_AT_A_TIME);
    yield* bytesOf(store, { lines, blobs }, said, change);
    yield { lines: lines.map(change), deals };
    after = last;
    await rest();
  } while (after !== null);
}

/** What lines name, each once and one by one. */
async function* bytesOf(
  store: Store,
  { blobs }: Rows,
  said: Set<string>,
  change: (line: string) => string,
): BackupParts {
  for (const sha256 of blobs) {
    if (said.has(sha256)) continue;
    said.add(sha256);
    const line = await store.backupBlob(sha256);
    // What is not there would be missed when the backup is restored.
    if (line === undefined) throw new Error("A paper that is named is not kept.");
    yield { lines: [change(line)], deals: 0 };
  }
}

/**
 * All that is kept, as it was at one moment, as the bytes of a backup.
 *
 * @param take gives what is kept at this moment, which is let go once it is read, or nobody reads it any more
 * @param change what becomes of each row's line; it stays as it is where left out
 */
export async function backupBytes(
  take: () => Promise<Snapshot>,
  change: (line: string) => string = line => line,
): Promise<Readable> {
  const { store, end } = await take();
  const { migrations, ...first } = await store.backupStart().catch(async error => {
    await end();
    throw error;
  });
  const text = Readable.from(backupText(partsOf(store, first, change), migrations, new Date()));
  text.once("close", () => void end().catch(sayUnlessAway));
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
