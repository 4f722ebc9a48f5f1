import { rm } from "node:fs/promises";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { AskedBy } from "@/exchange/people";
import { DatabaseAway } from "../away";
import { FolderInUse, FolderRefused } from "../folder/refused";
import type { OpenStore } from "../open-store";
import { type Hanging, newTrace, stepsOf, watchForHanging } from "./sign-of-life";
import { snapshotPlace } from "./state";
import type { FolderStore } from "./store-here";
import type { FromThread, ToThread } from "./store-messages";

/** A data folder that is open. */
export type OpenFolder = OpenStore & {
  store: FolderStore;
  /** Ends once nothing that was asked is under way. */
  idle: () => Promise<void>;
};

/** What can be said of the opening of a folder. */
export type Opening = {
  /** Is told where the database answers no more, which it never will again. */
  stopped?: (why: string) => void;
  /** Where in the folder a restored database is, which this process opens beside the present one. */
  restoredAt?: string;
  /** Whether all others come before what is asked of it, as of a copy that is read at length. */
  isPatient?: boolean;
  patience?: Patience;
  /** Begins the thread of the database. */
  start?: () => Worker;
};

/** For how long things are waited for, in milliseconds. */
type Patience = {
  /** A call of the store while the database does nothing, until it is given up. */
  call: number;
  /** The same while it is at work, for others before. */
  busy: number;
  /** After a call was given up, until the database is taken to hang. */
  hanging: Hanging;
  /** The opening of a folder, with what was left to be done to it. */
  opening: number;
};

const PATIENCE: Patience = {
  call: 5000,
  busy: 30_000,
  hanging: { working: 10_000, silent: 60_000 },
  opening: 180_000,
};

const A_MOMENT_MS = 2;

type Waiting = {
  resolve: (value: unknown) => void;
  reject: (error: Error) => void;
  limit: NodeJS.Timeout | undefined;
};

/**
 * Opens a data folder in a thread of its own: the embedded database keeps its thread busy for as long as a statement
 * takes, and the one that serves everyone has others to answer meanwhile. After a failed write of its log the database
 * is busy for ever, where no time limit can act: so each call has one here.
 *
 * @throws FolderRefused where the folder cannot be used; FolderInUse where another process has it open
 */
export async function openStoreInThread(folder: string, opening: Opening = {}): Promise<OpenFolder> {
  const {
    stopped = () => {},
    restoredAt,
    isPatient = false,
    patience = PATIENCE,
    start = startThread,
  } = opening;
  const thread = start();
  const ended = new Promise<void>(resolve => thread.once("exit", () => resolve()));
  const trace = newTrace();
  thread.postMessage({
    open: folder,
    ...(restoredAt && { restoredAt }),
    isPatient,
    trace,
  } satisfies ToThread);
  await opened(thread, folder, patience.opening);

  const waiting = new Map<number, Waiting>();
  let last = 0;
  let isStopped = false;
  let heard: (() => void) | undefined;
  const stop = (why: string) => {
    if (isStopped) return;
    isStopped = true;
    heard?.();
    for (const { reject, limit } of waiting.values()) {
      clearTimeout(limit);
      reject(new DatabaseAway(why));
    }
    waiting.clear();
    void thread.terminate();
    stopped(why);
  };
  /** A call was given up: a thread that is only busy goes on, and one that waits says so. */
  const askForSign = () => {
    thread.postMessage("areYouThere" satisfies ToThread);
    heard ??= watchForHanging(trace, patience.hanging, () => stop("The database hangs."));
  };
  thread.on("message", (message: FromThread) => {
    // Whatever it says, it is there.
    heard?.();
    heard = undefined;
    if (typeof message === "object" && "broken" in message) stop(`The database stopped: ${message.broken}.`);
    else settle(waiting, message);
  });
  let isClosing = false;
  thread.on("error", error => stop(`The database stopped: ${error.message}`));
  thread.once("exit", () => isClosing || stop("The database has stopped."));

  const ask = (name: keyof FolderStore, args: unknown[], by?: AskedBy) =>
    new Promise<unknown>((resolve, reject) => {
      // Nobody would hear it any more, and nobody answer.
      if (isStopped || isClosing) return reject(new DatabaseAway("The database has stopped."));
      const id = ++last;
      const began = performance.now();
      let steps = stepsOf(trace);
      const giveUp = () => {
        const now = stepsOf(trace);
        if (now !== steps && performance.now() - began < patience.busy) {
          steps = now;
          asked.limit = setTimeout(giveUp, patience.call);
          return;
        }
        waiting.delete(id);
        reject(
          new DatabaseAway(
            `The database took more than ${((performance.now() - began) / 1000).toFixed(0)} s.`,
          ),
        );
        askForSign();
      };
      const asked: Waiting = { resolve, reject, limit: setTimeout(giveUp, patience.call) };
      waiting.set(id, asked);
      thread.postMessage({ id, name, args, ...(by && { by }) } satisfies ToThread);
    });
  /** Takes as long as the disk needs: whoever waits for it has others to ask meanwhile. */
  const copyTo = (path: string) =>
    new Promise<unknown>((resolve, reject) => {
      if (isStopped || isClosing) return reject(new DatabaseAway("The database has stopped."));
      const id = ++last;
      waiting.set(id, { resolve, reject, limit: undefined });
      thread.postMessage({ id, copyTo: path } satisfies ToThread);
    });
  return {
    store: storeAsking(ask),
    as: by => storeAsking((name, args) => ask(name, args, by)),
    snapshot: async () => {
      const place = snapshotPlace();
      const path = join(folder, place);
      const drop = () => rm(path, { recursive: true, force: true });
      try {
        await copyTo(path);
        const copy = await openStoreInThread(folder, { restoredAt: place, isPatient: true, patience, start });
        return { store: copy.store, end: () => copy.close().finally(drop) };
      } catch (error) {
        await drop();
        throw error;
      }
    },
    idle: async () => {
      while (waiting.size > 0) await new Promise(resolve => setTimeout(resolve, A_MOMENT_MS));
    },
    close: async () => {
      isClosing = true;
      thread.postMessage("close" satisfies ToThread);
      // What was acknowledged is on the disk: a thread that does not close is left to the next start.
      const limit = setTimeout(() => void thread.terminate(), patience.busy);
      await ended;
      clearTimeout(limit);
    },
  };
}

const startThread = () => new Worker(new URL("./store-thread.ts", import.meta.url));

function opened(thread: Worker, folder: string, longestMs: number): Promise<void> {
  return new Promise((resolve, reject) => {
    const end = (error?: Error) => {
      clearTimeout(limit);
      thread.removeAllListeners("message");
      thread.removeListener("error", end);
      if (!error) return resolve();
      void thread.terminate();
      reject(error);
    };
    const limit = setTimeout(
      () => end(new FolderRefused(`The database of ${folder} did not open in ${longestMs / 1000} s.`)),
      longestMs,
    );
    thread.once("error", end);
    thread.on("message", (message: FromThread) => {
      if (message === "opened") end();
      else if (typeof message === "object" && "notOpened" in message) end(openingError(message));
    });
  });
}

function openingError({ notOpened, refusal }: Extract<FromThread, { notOpened: string }>): Error {
  if (refusal === "inUse") return new FolderInUse(notOpened);
  return refusal ? new FolderRefused(notOpened) : new Error(notOpened);
}

function settle(waiting: Map<number, Waiting>, message: FromThread): void {
  if (typeof message === "string" || !("id" in message)) return;
  const asked = waiting.get(message.id);
  // Where it was given up, nobody waits for it any more.
  if (!asked) return;
  waiting.delete(message.id);
  clearTimeout(asked.limit);
  if ("failure" in message) asked.reject(Object.assign(new Error(message.failure.message), message.failure));
  else asked.resolve(message.value);
}

/** Every name is a piece of work but `then`, by which a promise would take the store for another one. */
const storeAsking = (ask: (name: keyof FolderStore, args: unknown[]) => Promise<unknown>): FolderStore =>
  new Proxy({} as FolderStore, {
    get: (_, name) =>
      name === "then" ? undefined : (...args: unknown[]) => ask(name as keyof FolderStore, args),
  });
