import { createHash } from "node:crypto";
import type { BackupEnd } from "./format";
import { readBackup } from "./read-backup";

/**
 * The text of a backup again, piece by piece, with other lines: its end is made to fit them.
 *
 * @param change what becomes of each row's line
 * @param write takes a piece of text, and is waited for
 * @throws BackupRefused where the backup is not whole; nothing that was written is to be kept then
 */
export async function rewriteBackup(
  path: string,
  change: (line: string) => string,
  write: (text: string) => Promise<void>,
): Promise<void> {
  const hash = createHash("sha256");
  const say = async (line: string) => {
    hash.update(`${line}\n`);
    await write(`${line}\n`);
  };
  const { rows, deals } = await readBackup(
    path,
    head => say(JSON.stringify(head)),
    line => say(change(line)),
  );
  const end: BackupEnd = { end: true, rows, deals, sha256: hash.digest("hex") };
  await write(`${JSON.stringify(end)}\n`);
}
