import { CORE_VERSION } from "@/core";
import type { Store } from "@/data/store";

/** That the server answers, and its database with it. */
export type Health = { database: "answers"; core: string };

/** Asks the database; fails where it does not answer. */
export async function health(store: Store): Promise<Health> {
  await store.answers();
  return { database: "answers", core: CORE_VERSION };
}
