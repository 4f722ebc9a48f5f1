import { createWriteStream, rmSync } from "node:fs";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { Worker } from "node:worker_threads";
import type { RestoredBeside } from "@/data/restore";
import type { BackupFacts } from "@/exchange/backup";
import { sizeText } from "@/exchange/text";
import { copyName, keepCopy, keptCopy } from "./backups";
import { dataFolder } from "./data-folder";
import { Refusal } from "./refusal";
import type { Restored, ToRestore } from "./restore-thread";
import { replaceStore } from "./store";

/** The largest backup that is taken, in bytes. */
const LARGEST = 1_000_000_000;

let isRestoring = false;

const receivedPath = () => join(dataFolder(), "restoring.ndjson.gz");

/** Clears away what a stop has left of a backup that was being received. */
export function clearReceived(): void {
  rmSync(receivedPath(), { force: true });
}

/**
 * Puts what a backup holds into the place of all that is kept; a copy of that is made first.
 *
 * @param backup the bytes of a backup, or the name of a copy that is kept
 * @param whole refuses a size that is not the one announced
 */
export async function restoreBackup(
  backup: ReadableStream<Uint8Array> | string,
  whole: (size: number) => void = () => {},
): Promise<BackupFacts> {
  if (isRestoring) throw new Refusal(409, "Another backup is being restored right now.");
  isRestoring = true;
  const received = receivedPath();
  try {
    if (typeof backup !== "string") whole(await receive(backup, received));
    const file = typeof backup === "string" ? keptCopy(dataFolder(), backup) : received;
    if (!file) throw new Refusal(404, "There is no copy of this name.");
    const { facts, place } = await restored({ folder: dataFolder(), file });
    const name = copyName(new Date(), true);
    await replaceStore(place, store => keepCopy(store, dataFolder(), name));
    return facts;
  } finally {
    isRestoring = false;
    clearReceived();
  }
}

async function receive(backup: ReadableStream<Uint8Array>, path: string): Promise<number> {
  let size = 0;
  const counted = async function* (chunks: AsyncIterable<Uint8Array>) {
    for await (const chunk of chunks) {
      size += chunk.byteLength;
      if (size > LARGEST) throw new Refusal(413, `A backup has at most ${sizeText(LARGEST)}.`);
      yield chunk;
    }
  };
  // Web streams can be iterated on Node, which the DOM's types do not say.
  const chunks = Readable.from(backup as unknown as AsyncIterable<Uint8Array>);
  await pipeline(chunks, counted, createWriteStream(path, { mode: 0o600 }));
  return size;
}

/** Has a thread restore it beside the present database, which is served meanwhile. */
function restored(asked: ToRestore): Promise<RestoredBeside> {
  const thread = new Worker(new URL("./restore-thread.ts", import.meta.url));
  return new Promise((resolve, reject) => {
    thread.once("error", reject);
    thread.once("exit", () => reject(new Error("The backup was not restored.")));
    thread.once("message", (said: Restored) => {
      if (!("facts" in said)) void thread.terminate();
      if ("facts" in said) resolve(said);
      else reject("refused" in said ? new Refusal(422, said.refused) : new Error(said.failed));
    });
    thread.postMessage(asked);
  });
}
