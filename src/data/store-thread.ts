// The thread of the database: opens the data folder and does for the serving thread what the store can do.
import { parentPort } from "node:worker_threads";
import { openDatabase } from "./database";
import { FolderInUse } from "./folder-lock";
import { storeOf } from "./store";
import type { FromThread, ToThread } from "./store-messages";

const say = (message: FromThread) => parentPort?.postMessage(message);

async function serve(folder: string): Promise<void> {
  const { database, close } = await openDatabase(folder);
  const store = storeOf(database);
  parentPort?.on("message", async (message: ToThread) => {
    if (message === "close") {
      await close();
      parentPort?.close();
      return;
    }
    if ("open" in message) return;
    const { id, name, args } = message;
    try {
      const work = store[name] as (...args: unknown[]) => Promise<unknown>;
      say({ id, value: await work(...args) });
    } catch (error) {
      say({ id, failure: failureOf(error) });
    }
  });
  say("opened");
}

/** What crosses between threads of an error: its words, those of what caused it, and its code. */
function failureOf(error: unknown): { message: string; code?: string } {
  if (!(error instanceof Error)) return { message: String(error) };
  const cause = error.cause === undefined ? undefined : failureOf(error.cause);
  const { code = cause?.code } = error as NodeJS.ErrnoException;
  return { message: [error.message, cause?.message].filter(Boolean).join(": "), ...(code && { code }) };
}

parentPort?.once("message", (message: ToThread) => {
  if (message === "close" || !("open" in message)) return;
  serve(message.open).catch(error => {
    say({ notOpened: failureOf(error).message, isInUse: error instanceof FolderInUse });
  });
});
