import { isDatabaseAway, sayUnlessAway } from "@/data/away";
import { changesBy } from "@/data/changes";
import { lastStop } from "@/data/embedded/last-stop";
import { type OpenFolder, openStoreInThread } from "@/data/embedded/store-in-thread";
import { makeFolder } from "@/data/folder/private";
import type { OpenStore, Snapshot } from "@/data/open-store";
import { openStoreOnServer } from "@/data/postgres/open-store-on-server";
import { storeOnServer } from "@/data/postgres/store-on-server";
import type { Store } from "@/data/store";
import type { AskedBy } from "@/exchange/people";
import { tellChanges } from "./changes/hub";
import { carryOverServer } from "./changes/over-server";
import { dataFolder } from "./data-folder";
import { databaseUrl } from "./data-place";
import { loadDemo } from "./demo";
import { loadDemoPeople } from "./demo-people";
import { withSigning } from "./sign";
import { lookAtAll } from "./whole";

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & {
  kelluxStore?: Promise<OpenStore> | undefined;
  /** Why the database answers no more; the process ends soon. */
  kelluxStopped?: string;
  /** Whether the database server does not answer right now. */
  kelluxAway?: boolean;
  /** Whether this process keeps the copies, of all that work on the same data. */
  kelluxIsKeeper?: () => Promise<boolean>;
  /** Forgets who is there, at once: others are told a moment later. */
  kelluxForgetWho?: () => void;
  /** How many changes were asked for that a backup is made for. */
  kelluxChanges?: number;
};

/** What changes something that a backup is made for; what follows from the deals is made again. */
const CHANGES: ReadonlySet<keyof Store> = new Set([
  "changeRates",
  "changeVehicle",
  "addPerson",
  "changePerson",
  "completeArrival",
  "correctName",
  "eraseCustomer",
  "insertDeals",
  "keepDealPeople",
  "keepGivenPaper",
  "keepSettings",
  "keepSettingsDealer",
  "makeFirst",
  "makeOne",
  "putInStock",
  "setDeleted",
  "stockArrives",
  "takeOutOfStock",
  "updateDeal",
  "updateDealer",
]);

/** How many changes were asked for so far. */
export const changesAsked = (): number => shared.kelluxChanges ?? 0;

/**
 * The store that is open when something is asked of it: a restored backup is another one. What it changes is told.
 *
 * @param by on whose behalf, where somebody has asked
 */
const storeFor = (by?: AskedBy): Store =>
  new Proxy({} as Store, {
    get: (_, name) =>
      name === "then"
        ? undefined
        : async (...args: unknown[]) => {
            const opened = await openedStore();
            const store = by ? opened.as(by) : opened.store;
            const work = name as keyof Store;
            if (CHANGES.has(work)) shared.kelluxChanges = changesAsked() + 1;
            const answer = await (store[work] as (...args: unknown[]) => unknown)(...args);
            const changes = changesBy(work, args, answer);
            if (changes.some(({ of }) => of === "people")) shared.kelluxForgetWho?.();
            tellChanges(changes);
            return answer;
          },
  });

const openStore = storeFor();

/** What is open, opened at the first call. */
export function openedStore(): Promise<OpenStore> {
  shared.kelluxStore ??= openIt();
  return shared.kelluxStore;
}

/** Has another store be the one that is open; who asks meanwhile waits for it. */
export function changeStore(store: Promise<OpenStore>): void {
  shared.kelluxStore = store;
}

/** The server's one store, with the demo data where that is asked for. */
export async function serverStore(): Promise<Store> {
  await openedStore();
  return openStore;
}

/** The same on behalf of somebody: what they do is noted. */
export async function serverStoreAs(by: AskedBy): Promise<Store> {
  await openedStore();
  return storeFor(by);
}

/** All that is kept as it is at this moment. */
export const serverSnapshot = async (): Promise<Snapshot> => (await openedStore()).snapshot();

/** Closes the database, if it was opened. */
export async function closeServerStore(): Promise<void> {
  await (await shared.kelluxStore)?.close();
}

/** Whether this process keeps the copies: alone with a folder it does. */
export const isKeeper = async (): Promise<boolean> => (await shared.kelluxIsKeeper?.()) ?? true;

const openIt = (): Promise<OpenStore> => {
  const url = databaseUrl();
  return url ? openOnServer(url) : openFolder();
};

async function openFolder(): Promise<OpenFolder> {
  const noted = lastStop(dataFolder());
  const folder = await openStoreInThread(dataFolder(), { stopped: endSoon });
  void lookAtAll(folder.store, dataFolder(), noted).catch(sayUnlessAway);
  await loadDemoIfAsked(folder.store);
  return folder;
}

/** Opens a store on a PostgreSQL server. One that does not answer is asked again whenever something is asked of it. */
async function openOnServer(url: string): Promise<OpenStore> {
  makeFolder(dataFolder());
  const server = openStoreOnServer(url, {
    // While no other process does the same.
    filled: database => loadDemoIfAsked(storeOnServer(database)),
    heard: answers => {
      shared.kelluxAway = !answers;
    },
  });
  carryOverServer(server);
  shared.kelluxIsKeeper = server.isKeeper;
  await server.ready().catch(error => {
    if (!isDatabaseAway(error)) throw error;
    console.warn(`${error.message} It is asked again.`);
  });
  return server;
}

/** What KELLUX_DEMO is where the people of the demo have names. */
const WITH_PEOPLE = "people";

async function loadDemoIfAsked(store: Store): Promise<void> {
  if (!process.env.KELLUX_DEMO) return;
  await loadDemo(store, withSigning);
  if (process.env.KELLUX_DEMO === WITH_PEOPLE) await loadDemoPeople(store);
}

/** Until the answers are out that say so. */
const LAST_ANSWERS_MS = 1000;
const FAILED = 70;

/** After a failed write of its log the database cannot go on; a new process reads what is on the disk. */
export function endSoon(why: string): void {
  shared.kelluxStopped = why;
  console.error(
    `${why} This process ends, so that it can be started again; everything acknowledged is on the disk.`,
  );
  setTimeout(() => process.exit(FAILED), LAST_ANSWERS_MS);
}
