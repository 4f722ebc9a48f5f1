import { createHash } from "node:crypto";
import type { BackupEnd, BackupHead } from "./format";

/** Rows of a database as lines of JSON, in parts. */
export type BackupParts = AsyncIterable<{ lines: readonly string[]; deals: number }>;

/**
 * The text of a backup, piece by piece: its head, a line for each row, and an end by which it is seen to be whole.
 *
 * @param migrations how many migrations the database has whose rows these are
 */
export async function* backupText(
  parts: BackupParts,
  migrations: number,
  made: Date,
): AsyncGenerator<string> {
  const hash = createHash("sha256");
  let [rows, deals] = [0, 0];
  const head: BackupHead = { format: "kellux-backup", version: 1, migrations, made: made.toISOString() };
  const said = (lines: readonly string[]) => {
    const text = lines.map(line => `${line}\n`).join("");
    hash.update(text);
    return text;
  };
  yield said([JSON.stringify(head)]);
  for await (const part of parts) {
    rows += part.lines.length;
    deals += part.deals;
    yield said(part.lines);
  }
  const end: BackupEnd = { end: true, rows, deals, sha256: hash.digest("hex") };
  yield `${JSON.stringify(end)}\n`;
}
