import { Worker } from "node:worker_threads";
import { FolderInUse } from "./folder-lock";
import type { Store } from "./store";
import type { FromThread, ToThread } from "./store-messages";

export type OpenStore = { store: Store; close: () => Promise<void> };

type Waiting = { resolve: (value: unknown) => void; reject: (error: Error) => void };

/**
 * Opens a data folder in a thread of its own: the embedded database keeps its thread busy for as long as a statement
 * takes, and the one that serves everyone has others to answer meanwhile.
 *
 * @throws FolderInUse where another process has the folder open
 */
export async function openStoreInThread(folder: string): Promise<OpenStore> {
  const thread = new Worker(new URL("./store-thread.ts", import.meta.url));
  const ended = new Promise<void>(resolve => thread.once("exit", () => resolve()));
  thread.postMessage({ open: folder } satisfies ToThread);
  await opened(thread);

  const waiting = new Map<number, Waiting>();
  let last = 0;
  thread.on("message", (message: FromThread) => settle(waiting, message));
  let stopped: Error | undefined;
  const stop = (error: Error) => {
    stopped ??= error;
    for (const { reject } of waiting.values()) reject(stopped);
    waiting.clear();
  };
  thread.on("error", stop);
  thread.once("exit", () => stop(new Error("The database has stopped.")));

  const ask = (name: keyof Store, args: unknown[]) =>
    new Promise<unknown>((resolve, reject) => {
      // Nobody would hear it any more, and nobody answer.
      if (stopped) return reject(stopped);
      const id = ++last;
      waiting.set(id, { resolve, reject });
      thread.postMessage({ id, name, args } satisfies ToThread);
    });
  return {
    store: storeAsking(ask),
    close: async () => {
      thread.postMessage("close" satisfies ToThread);
      await ended;
    },
  };
}

function opened(thread: Worker): Promise<void> {
  return new Promise((resolve, reject) => {
    thread.once("error", reject);
    thread.once("message", (message: FromThread) => {
      thread.removeListener("error", reject);
      if (message === "opened") resolve();
      else if ("notOpened" in message)
        reject(message.isInUse ? new FolderInUse(message.notOpened) : new Error(message.notOpened));
    });
  });
}

function settle(waiting: Map<number, Waiting>, message: FromThread): void {
  if (message === "opened" || "notOpened" in message) return;
  const asked = waiting.get(message.id);
  waiting.delete(message.id);
  if ("failure" in message) asked?.reject(Object.assign(new Error(message.failure.message), message.failure));
  else asked?.resolve(message.value);
}

/** Every name is a piece of work but `then`, by which a promise would take the store for another one. */
const storeAsking = (ask: (name: keyof Store, args: unknown[]) => Promise<unknown>): Store =>
  new Proxy({} as Store, {
    get: (_, name) => (name === "then" ? undefined : (...args: unknown[]) => ask(name as keyof Store, args)),
  });
