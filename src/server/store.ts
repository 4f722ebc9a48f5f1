import type { Store } from "@/data/store";
import { type OpenStore, openStoreInThread } from "@/data/store-in-thread";
import { withSigning } from "./deals";
import { loadDemo } from "./demo";
import { startFigures } from "./figures";
import { keepLateSignings } from "./signing";

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxStore?: Promise<OpenStore> };

/** The data folder of this server. */
export function dataFolder(): string {
  return process.env.KELLUX_DATA_DIR || ".kellux";
}

/** The server's one store, opened at the first call, with the demo data where that is asked for. */
export async function serverStore(): Promise<Store> {
  shared.kelluxStore ??= open();
  return (await shared.kelluxStore).store;
}

async function open(): Promise<OpenStore> {
  const opened = await openStoreInThread(dataFolder());
  if (process.env.KELLUX_DEMO) await loadDemo(opened.store, withSigning);
  await startFigures(opened.store);
  void keepLateSignings(opened.store).catch(console.error);
  return opened;
}

/** Closes the database, if it was opened. */
export async function closeServerStore(): Promise<void> {
  await (await shared.kelluxStore)?.close();
}
