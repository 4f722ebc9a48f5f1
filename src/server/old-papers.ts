import { sayUnlessAway } from "@/data/away";
import type { Store } from "@/data/store";
import { oneAtATime } from "./jobs/one-at-a-time";
import { openSettings } from "./settings";

/** Each hour; looked for more often, for another process may have ended. */
const HOUR_SECONDS = 60 * 60 - 60;
const LOOK_MS = 10 * 60 * 1000;
/** After a start the officer comes first. */
const FIRST_MS = 45_000;

/** Removes the papers that are older than the house keeps them; of a house that has settled nothing, none. */
export async function removeOld(store: Store, now = new Date()): Promise<number> {
  const { settings } = await openSettings(store);
  const { monthsKept } = settings.papers ?? {};
  if (monthsKept === undefined) return 0;
  const before = new Date(now);
  before.setUTCMonth(before.getUTCMonth() - monthsKept);
  return store.removeOldPapers(before);
}

/** Sees to it for as long as the server runs. */
export function startRemovingPapers(store: Store): void {
  const removeAll = async () => void (await removeOld(store));
  const remove = () => void oneAtATime(store, "removePapers", removeAll, HOUR_SECONDS).catch(sayUnlessAway);
  setTimeout(remove, FIRST_MS).unref();
  setInterval(remove, LOOK_MS).unref();
}
