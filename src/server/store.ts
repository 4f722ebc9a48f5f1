import { join } from "node:path";
import { databasePath, removePlace, takePlace } from "@/data/folder/state";
import { lastStop } from "@/data/last-stop";
import { sayUnlessAway } from "@/data/say-unless-away";
import type { Store } from "@/data/store";
import { type OpenStore, openStoreInThread } from "@/data/store-in-thread";
import { settleArrivals } from "./arrivals";
import { dataFolder } from "./data-folder";
import { loadDemo } from "./demo";
import { startFigures } from "./figures";
import { keepLateSignings } from "./late-signings";
import { withSigning } from "./sign";
import { lookAtAll } from "./whole";

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & {
  kelluxStore?: Promise<OpenStore> | undefined;
  /** Why the database answers no more; the process ends soon. */
  kelluxStopped?: string;
  /** How many changes were asked for that a backup is made for. */
  kelluxChanges?: number;
};

/** What changes something that a backup is made for; what follows from the deals is made again. */
const CHANGES: ReadonlySet<keyof Store> = new Set([
  "changeRates",
  "changeVehicle",
  "completeArrival",
  "correctName",
  "insertDeals",
  "keepGivenPaper",
  "keepSettings",
  "keepSettingsDealer",
  "makeOne",
  "putInStock",
  "setDeleted",
  "stockArrives",
  "takeOutOfStock",
  "updateDeal",
  "updateDealer",
]);
const changes = () => shared.kelluxChanges ?? 0;

/** The store that is open when something is asked of it: a restored backup is another one. */
const openStore: Store = new Proxy({} as Store, {
  get: (_, name) =>
    name === "then"
      ? undefined
      : async (...args: unknown[]) => {
          const { store } = await opened();
          if (CHANGES.has(name as keyof Store)) shared.kelluxChanges = changes() + 1;
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
  const filled = await openStoreInThread(dataFolder(), { stopped: endSoon });
  void lookAtAll(filled.store, dataFolder(), noted).catch(sayUnlessAway);
  if (process.env.KELLUX_DEMO) await loadDemo(filled.store, withSigning);
  return filled;
}

/** What is done by itself with what is kept: at the start, and after a backup was restored. */
function startWork(): void {
  void settleArrivals(openStore).catch(sayUnlessAway);
  void startFigures(openStore).catch(sayUnlessAway);
  void keepLateSignings(openStore).catch(sayUnlessAway);
}

/** Closes the database, if it was opened. */
export async function closeServerStore(): Promise<void> {
  await (await shared.kelluxStore)?.close();
}

/** Asks what pages ask, before anybody waits for it: a database that was just opened takes long for each first question. */
async function warmUp(store: Store): Promise<void> {
  await store.answers();
  await store.getSettings();
  await store.findLines({ search: "", sort: "changedAt", descending: true, skip: 0, most: 1 });
  await store.stockMark();
  const { records } = await store.dealsAfter(null, 1);
  for (const { id } of records)
    await Promise.all([store.getDeal(id), store.versionOf(id), store.getSigning(id)]);
}

/** So often a copy is made anew because somebody has saved something meanwhile; then who saves waits for it. */
const MOST_COPIES = 5;

/**
 * Puts a restored database into the place of the present one, which is served until then: who asks meanwhile waits for no
 * longer than it takes to note which it is.
 *
 * @param place where in the data folder it is
 * @param copy keeps a copy of all that is kept until then
 */
export async function replaceStore(place: string, copy: (store: Store) => Promise<void>): Promise<void> {
  const before = await opened();
  const path = databasePath(dataFolder());
  const next = await openStoreInThread(dataFolder(), { stopped: endSoon, restoredAt: place });
  await warmUp(next.store);
  let copied = -1;
  const copyAll = async () => {
    copied = changes();
    await copy(before.store);
  };
  let goOn: (store: OpenStore) => void = () => {};
  try {
    for (let copies = 0; copies < MOST_COPIES && copied !== changes(); copies++) await copyAll();
    shared.kelluxStore = new Promise(resolve => {
      goOn = resolve;
    });
    await before.idle();
    if (copied !== changes()) await copyAll();
    takePlace(dataFolder(), place);
  } catch (error) {
    goOn(before);
    shared.kelluxStore = Promise.resolve(before);
    await next.close();
    await removePlace(dataFolder(), join(dataFolder(), place));
    throw error;
  }
  goOn(next);
  startWork();
  await before.close();
  await removePlace(dataFolder(), path);
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
