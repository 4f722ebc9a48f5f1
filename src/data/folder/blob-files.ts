import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from "node:fs";
import { dirname, join } from "node:path";
import { renameOnDisk, syncToDisk } from "./sync";

/** The row of a blob as a line of a backup. */
const BLOB_LINE = /^\{"table":"blobs",/;
const DIGEST = /^[0-9a-f]{64}$/;

type BlobLine = { table: "blobs"; row: { sha256: string; bytes: string | null } };

/** Bytes that the copies beside it share: a paper that is kept for years is not in each day's copy. */
const blobsFolder = (copies: string) => join(copies, "blobs");

/**
 * A line of a copy without the bytes of a blob, which are in a file beside the copies from then on.
 *
 * @param copies the folder of the copies
 * @param now when the copy is made: a file that a copy names is as new as it
 */
export function withoutBytes(copies: string, line: string, now: Date): string {
  if (!BLOB_LINE.test(line)) return line;
  const { table, row } = JSON.parse(line) as BlobLine;
  if (row.bytes === null || !DIGEST.test(row.sha256)) return line;
  const path = join(blobsFolder(copies), row.sha256);
  if (!existsSync(path)) {
    mkdirSync(blobsFolder(copies), { recursive: true, mode: 0o700 });
    const unfinished = `${path}.unfinished`;
    writeFileSync(unfinished, Buffer.from(row.bytes.replace(/^\\x/, ""), "hex"), { mode: 0o600 });
    syncToDisk(unfinished, false);
    renameOnDisk(unfinished, path);
  }
  utimesSync(path, now, now);
  return JSON.stringify({ table, row: { sha256: row.sha256, bytes: null } });
}

/**
 * A line of a copy with the bytes that are in a file beside it; any other line as it is.
 *
 * @param copy the path of the copy
 * @returns the line, or undefined where the file is not there
 */
export function withBytes(copy: string, line: string): string | undefined {
  if (!BLOB_LINE.test(line)) return line;
  const { table, row } = JSON.parse(line) as BlobLine;
  if (row.bytes !== null) return line;
  const path = join(blobsFolder(dirname(copy)), row.sha256);
  if (!DIGEST.test(row.sha256) || !existsSync(path)) return undefined;
  return JSON.stringify({ table, row: { ...row, bytes: `\\x${readFileSync(path).toString("hex")}` } });
}

/** Drops the files that no copy since a time names. */
export function dropBlobFiles(copies: string, before: Date): void {
  const folder = blobsFolder(copies);
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).mtime < before) rmSync(path);
  }
}
