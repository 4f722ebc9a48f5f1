import { createHash } from "node:crypto";
import { createReadStream } from "node:fs";
import { pipeline } from "node:stream";
import { createGunzip } from "node:zlib";
import { type BackupEnd, type BackupFacts, type BackupHead, BackupRefused } from "./format";

const NOT_WHOLE = "The backup is not whole: it ends before its end, or was changed. Nothing was restored.";
const NO_BACKUP = "This file is no backup of Kellux.";

/** No row comes near it; a file of one endless line is not taken into memory. */
const LONGEST_LINE = 64_000_000;

/**
 * Reads a backup from a file, line by line, and sees that it is whole.
 *
 * @param begin is given the head
 * @param row is given each row's line of JSON
 * @returns what is told of it, once it was read to its end and found whole
 * @throws BackupRefused with a sentence
 */
export async function readBackup(
  path: string,
  begin: (head: BackupHead) => Promise<void> | void,
  row: (line: string) => Promise<void> | void,
): Promise<BackupFacts> {
  const hash = createHash("sha256");
  let head: BackupHead | undefined;
  let end: BackupEnd | undefined;
  let rows = 0;
  try {
    for await (const line of linesOf(path)) {
      if (end) throw new BackupRefused(NOT_WHOLE);
      if (!head) {
        head = headOf(line);
        await begin(head);
      } else if (line.startsWith('{"end":')) {
        end = JSON.parse(line) as BackupEnd;
        if (end.sha256 !== hash.digest("hex") || end.rows !== rows) throw new BackupRefused(NOT_WHOLE);
        continue;
      } else {
        rows++;
        await row(line);
      }
      hash.update(`${line}\n`);
    }
  } catch (error) {
    throw refusalOf(error, head);
  }
  if (!head) throw new BackupRefused(NO_BACKUP);
  if (!end) throw new BackupRefused(NOT_WHOLE);
  return { made: head.made, rows, deals: end.deals };
}

function headOf(line: string): BackupHead {
  const head = JSON.parse(line) as BackupHead;
  if (head?.format !== "kellux-backup") throw new BackupRefused(NO_BACKUP);
  if (head.version !== 1)
    throw new BackupRefused(`This backup is of version ${head.version}, which this Kellux does not know.`);
  if (!Number.isInteger(head.migrations) || Number.isNaN(Date.parse(head.made)))
    throw new BackupRefused(NOT_WHOLE);
  return head;
}

/** What cannot be unpacked or parsed is not whole; before the first line it is no backup. */
function refusalOf(error: unknown, head: BackupHead | undefined): unknown {
  const { code = "" } = error as NodeJS.ErrnoException;
  const isNoText = error instanceof SyntaxError || code.startsWith("Z_") || code.startsWith("ERR_ENCODING");
  return isNoText ? new BackupRefused(head ? NOT_WHOLE : NO_BACKUP) : error;
}

async function* linesOf(path: string): AsyncGenerator<string> {
  const unpacked = createGunzip();
  // Where the file cannot be read or unpacked, reading on from it fails.
  pipeline(createReadStream(path), unpacked, () => {});
  const decoder = new TextDecoder("utf-8", { fatal: true });
  // What has come of a line so far, in its pieces: put together at each of them, a long one would cost its square.
  let pieces: string[] = [];
  let length = 0;
  for await (const chunk of unpacked) {
    const [first = "", ...others] = decoder.decode(chunk, { stream: true }).split("\n");
    pieces.push(first);
    length += first.length;
    if (length > LONGEST_LINE) throw new BackupRefused(NOT_WHOLE);
    if (others.length === 0) continue;
    yield pieces.join("");
    const last = others.pop() ?? "";
    yield* others;
    pieces = [last];
    length = last.length;
  }
  if (length > 0) yield pieces.join("");
}
