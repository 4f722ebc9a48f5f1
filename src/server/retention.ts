import { sayUnlessAway } from "@/data/away";
import type { Store } from "@/data/store";
import { oneAtATime } from "./jobs/one-at-a-time";
import { openSettings } from "./settings";

/** Each hour; looked for more often, for another process may have ended. */
const HOUR_SECONDS = 60 * 60 - 60;
const LOOK_MS = 10 * 60 * 1000;
/** After a start the officer comes first. */
const FIRST_MS = 45_000;

/** What was removed because it had been kept for as long as the house has settled. */
type Removed = { papers: number; doings: number; deals: number };

/** Removes what is older than the house keeps it; of a house that has settled nothing, nothing. */
export async function removeOld(store: Store, now = new Date()): Promise<Removed> {
  const { papers, people } = (await openSettings(store)).settings;
  const before = (months: number) => {
    const day = new Date(now);
    day.setUTCMonth(day.getUTCMonth() - months);
    return day;
  };
  const removed: Removed = { papers: 0, doings: 0, deals: 0 };
  if (papers?.monthsKept !== undefined)
    removed.papers = await store.removeOldPapers(before(papers.monthsKept));
  if (people?.monthsOfDoings !== undefined)
    removed.doings = await store.removeOldDoings(before(people.monthsOfDoings));
  if (people?.monthsOfDeals !== undefined)
    removed.deals = await removeDeals(store, before(people.monthsOfDeals));
  return removed;
}

/** Few at a time, until there are none. */
async function removeDeals(store: Store, before: Date): Promise<number> {
  let all = 0;
  for (;;) {
    const some = await store.removeOldDeals(before);
    if (some === 0) return all;
    all += some;
  }
}

/** Sees to it for as long as the server runs. */
export function startRemovingOld(store: Store): void {
  const removeAll = async () => void (await removeOld(store));
  const remove = () => void oneAtATime(store, "removePapers", removeAll, HOUR_SECONDS).catch(sayUnlessAway);
  setTimeout(remove, FIRST_MS).unref();
  setInterval(remove, LOOK_MS).unref();
}
