import { join } from "node:path";
import { databasePath, removePlace, takePlace } from "@/data/embedded/state";
import { type OpenFolder, openStoreInThread } from "@/data/embedded/store-in-thread";
import type { OpenStore, Snapshot } from "@/data/open-store";
import type { Store } from "@/data/store";
import { EVERYTHING, tell } from "./changes/hub";
import { dataFolder } from "./data-folder";
import { changeStore, changesAsked, endSoon, openedStore } from "./store";

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
export async function replaceFolder(
  place: string,
  copy: (snapshot: () => Promise<Snapshot>) => Promise<void>,
): Promise<void> {
  const before = (await openedStore()) as OpenFolder;
  const path = databasePath(dataFolder());
  const next = await openStoreInThread(dataFolder(), { stopped: endSoon, restoredAt: place });
  await warmUp(next.store);
  let copied = -1;
  const copyAll = async () => {
    copied = changesAsked();
    await copy(before.snapshot);
  };
  let goOn: (store: OpenStore) => void = () => {};
  try {
    for (let copies = 0; copies < MOST_COPIES && copied !== changesAsked(); copies++) await copyAll();
    changeStore(
      new Promise(resolve => {
        goOn = resolve;
      }),
    );
    await before.idle();
    if (copied !== changesAsked()) await copyAll();
    takePlace(dataFolder(), place);
  } catch (error) {
    goOn(before);
    changeStore(Promise.resolve(before));
    await next.close();
    await removePlace(dataFolder(), join(dataFolder(), place));
    throw error;
  }
  goOn(next);
  tell(EVERYTHING);
  await before.close();
  await removePlace(dataFolder(), path);
}
