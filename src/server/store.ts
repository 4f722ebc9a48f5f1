import { lastStop } from "@/data/last-stop";
import type { Store } from "@/data/store";
import { type OpenStore, openStoreInThread } from "@/data/store-in-thread";
import { settleArrivals } from "./arrivals";
import { dataFolder } from "./data-folder";
import { withSigning } from "./deals";
import { loadDemo } from "./demo";
import { startFigures } from "./figures";
import { keepLateSignings } from "./signing";
import { lookAtAll } from "./whole";

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & {
  kelluxStore?: Promise<OpenStore> | undefined;
  /** Why the database answers no more; the process ends soon. */
  kelluxStopped?: string;
};

/** The store that is open when something is asked of it: a restored backup is another one. */
const openStore: Store = new Proxy({} as Store, {
  get: (_, name) =>
    name === "then"
      ? undefined
      : async (...args: unknown[]) => {
          const { store } = await opened();
          return (store[name as keyof Store] as (...args: unknown[]) => unknown)(...args);
        },
});

const opened = (): Promise<OpenStore> => {
  if (!shared.kelluxStore) {
    shared.kelluxStore = openFilled();
    // What works on it by itself; where it does not open, whoever asked is told.
    shared.kelluxStore.then(startWork, () => {});
  }
  return shared.kelluxStore;
};

/** The server's one store, opened at the first call, with the demo data where that is asked for. */
export async function serverStore(): Promise<Store> {
  await opened();
  return openStore;
}

async function openFilled(): Promise<OpenStore> {
  const noted = lastStop(dataFolder());
  const filled = await openStoreInThread(dataFolder(), endSoon);
  void lookAtAll(filled.store, dataFolder(), noted).catch(console.error);
  if (process.env.KELLUX_DEMO) await loadDemo(filled.store, withSigning);
  return filled;
}

/** What is done by itself with what is kept: at the start, and after a backup was restored. */
function startWork(): void {
  void settleArrivals(openStore).catch(console.error);
  void startFigures(openStore).catch(console.error);
  void keepLateSignings(openStore).catch(console.error);
}

/** Closes the database, if it was opened. */
export async function closeServerStore(): Promise<void> {
  await (await shared.kelluxStore)?.close();
}

/**
 * Closes the store, does some work on its folder, and opens it again. What is asked meanwhile waits.
 *
 * @param work may open the store for itself, while nobody else has it
 */
export async function withClosedStore(
  work: (openAgain: (use: (store: Store) => Promise<void>) => Promise<void>) => Promise<void>,
): Promise<void> {
  const before = await opened();
  let failure: unknown;
  const working = async (): Promise<OpenStore> => {
    await before.close();
    try {
      await work(async use => {
        const alone = await openStoreInThread(dataFolder());
        await use(alone.store).finally(alone.close);
      });
    } catch (error) {
      failure = error;
    }
    return openStoreInThread(dataFolder(), endSoon);
  };
  shared.kelluxStore = working();
  await shared.kelluxStore.catch(error => {
    endSoon(`The database does not open again: ${error.message}`);
    throw error;
  });
  startWork();
  if (failure) throw failure;
}

/** Until the answers are out that say so. */
const LAST_ANSWERS_MS = 1000;
const FAILED = 70;

/** After a failed write of its log the database cannot go on; a new process reads what is on the disk. */
function endSoon(why: string): void {
  shared.kelluxStopped = why;
  console.error(
    `${why} This process ends, so that it can be started again; everything acknowledged is on the disk.`,
  );
  setTimeout(() => process.exit(FAILED), LAST_ANSWERS_MS);
}
