import { randomUUID } from "node:crypto";
import { createWriteStream, mkdtempSync, rmSync } from "node:fs";
import { rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { Worker } from "node:worker_threads";
import type { RestoredBeside } from "@/data/embedded/restore";
import { whileNoneElse } from "@/data/postgres/keeper";
import type { BackupFacts } from "@/exchange/backup";
import { sizeText } from "@/exchange/text";
import { copyName, keepCopy, keptCopy } from "./backups";
import { EVERYTHING, tell } from "./changes/hub";
import { dataFolder } from "./data-folder";
import { databaseUrl } from "./data-place";
import { Refusal } from "./refusal";
import { replaceFolder } from "./replace-folder";
import { COPIED, type RestoreSays, type ToRestore } from "./restore-messages";
import { serverSnapshot } from "./store";

/** The largest backup that is taken, in bytes. */
const LARGEST = 1_000_000_000;

let isRestoring = false;

/** A process of several that work on one server has its own. */
const receivedPath = () =>
  databaseUrl()
    ? join(tmpdir(), `kellux-restoring-${randomUUID()}.ndjson.gz`)
    : join(dataFolder(), "restoring.ndjson.gz");

/** Clears away what a stop has left of a backup that was being received. */
export function clearReceived(): void {
  if (!databaseUrl()) rmSync(receivedPath(), { force: true });
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
  if (isRestoring) throw new Refusal(409, AT_IT);
  isRestoring = true;
  const received = receivedPath();
  try {
    if (typeof backup !== "string") whole(await receive(backup, received));
    const file = typeof backup === "string" ? keptCopy(dataFolder(), backup) : received;
    if (!file) throw new Refusal(404, "There is no copy of this name.");
    const url = databaseUrl();
    return await (url ? restoreOnServer(url, file) : restoreInFolder(file));
  } finally {
    isRestoring = false;
    rmSync(received, { force: true });
  }
}

const AT_IT = "Another backup is being restored right now.";

const copyBefore = () => keepCopy(serverSnapshot, dataFolder(), copyName(new Date(), true));

async function restoreInFolder(file: string): Promise<BackupFacts> {
  const { facts, place } = await restored({ folder: dataFolder(), file });
  const name = copyName(new Date(), true);
  await replaceFolder(place, snapshot => keepCopy(snapshot, dataFolder(), name));
  return facts;
}

/** By way of a folder of its own, in which the backup is seen to be whole. */
async function restoreOnServer(url: string, file: string): Promise<BackupFacts> {
  const facts = await whileNoneElse(url, "restoring", async () => {
    const folder = mkdtempSync(join(tmpdir(), "kellux-restoring-"));
    try {
      return (await restored({ folder, file, server: url }, copyBefore)).facts;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  if (!facts) throw new Refusal(409, AT_IT);
  tell(EVERYTHING);
  return facts;
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

/**
 * Has a thread restore it; what is there is served meanwhile.
 *
 * @param copy copies what is there, once nobody can write to it any more
 */
function restored(asked: ToRestore, copy: () => Promise<void> = async () => {}): Promise<RestoredBeside> {
  const thread = new Worker(new URL("./restore-thread.ts", import.meta.url));
  return new Promise((resolve, reject) => {
    thread.once("error", reject);
    thread.once("exit", () => reject(new Error("The backup was not restored.")));
    thread.on("message", (said: RestoreSays) => {
      if (said === "copy") {
        copy().then(
          () => thread.postMessage(COPIED),
          error => {
            reject(error);
            void thread.terminate();
          },
        );
        return;
      }
      if (!("facts" in said)) void thread.terminate();
      if ("facts" in said) resolve(said);
      else reject("refused" in said ? new Refusal(422, said.refused) : new Error(said.failed));
    });
    thread.postMessage(asked);
  });
}
