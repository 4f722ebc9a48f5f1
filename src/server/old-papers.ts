import { sayUnlessAway } from "@/data/say-unless-away";
import type { Store } from "@/data/store";
import { openSettings } from "./settings";

const HOUR_MS = 60 * 60 * 1000;
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
  const remove = () => void removeOld(store).catch(sayUnlessAway);
  setTimeout(remove, FIRST_MS).unref();
  setInterval(remove, HOUR_MS).unref();
}
