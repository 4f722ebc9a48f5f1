import type { DealRecord } from "@/data/deals";
import type { Store } from "@/data/store";
import { oneAtATime } from "./jobs/one-at-a-time";
import { Refusal } from "./refusal";
import { sign } from "./sign";

const AT_A_TIME = 20;

/** Keeps the quotes of deals that were signed before quotes were kept, as the present core makes them; they say so. */
export async function keepLateSignings(store: Store): Promise<void> {
  if ((await store.signedWithoutQuotes(1)).length > 0)
    await oneAtATime(store, "keepSignings", () => keepAllLate(store));
}

async function keepAllLate(store: Store): Promise<void> {
  const done = new Set<string>();
  for (;;) {
    const ids = (await store.signedWithoutQuotes(AT_A_TIME + done.size)).filter(id => !done.has(id));
    if (ids.length === 0) return;
    for (const id of ids.slice(0, AT_A_TIME)) {
      const deal = await store.getDeal(id);
      if (deal) await keepLate(store, deal);
      // One that takes too much work is not tried for ever.
      done.add(id);
    }
  }
}

async function keepLate(store: Store, { id, version, document }: DealRecord): Promise<void> {
  try {
    await store.keepLateSigning(id, version, await sign(document, "late"));
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
  }
}
