// The thread of the database: opens the data folder and does for the serving thread what the store can do.
import { parentPort } from "node:worker_threads";
import { onBehalfOf } from "../asked-by";
import { failureOf } from "../failure";
import { FolderInUse, FolderRefused } from "../folder/refused";
import { yieldToOthers } from "../yield-to-others";
import { openDatabase, openRestored } from "./open-folder";
import { leaveTrace } from "./sign-of-life";
import { type FolderStore, storeOf } from "./store-here";
import type { FromThread, ToThread } from "./store-messages";

type Opening = Extract<ToThread, { open: string }>;

const say = (message: FromThread) => parentPort?.postMessage(message);

async function serve({ open, restoredAt, isPatient, trace }: Opening): Promise<void> {
  if (isPatient) yieldToOthers();
  // Said as it happens: after such an error the database keeps this thread busy for ever.
  const broken = (why: string) => say({ broken: why });
  const step = leaveTrace(trace);
  const { database, sync, checkpoint, copyTo, close } = await (restoredAt
    ? openRestored(open, restoredAt, broken, step)
    : openDatabase(open, broken, step));
  const store = storeOf(database, sync, checkpoint);
  const underWay = new Set<Promise<void>>();
  parentPort?.on("message", async (message: ToThread) => {
    if (message === "areYouThere") return say("hereIAm");
    if (message === "close") {
      await Promise.all(underWay);
      await close();
      parentPort?.close();
      return;
    }
    if ("open" in message) return;
    const asked = "copyTo" in message ? () => copyTo(message.copyTo) : () => askStore(store, message);
    const work = answer(message.id, asked).finally(() => underWay.delete(work));
    underWay.add(work);
  });
  say("opened");
}

const askStore = (store: FolderStore, { name, args, by }: Extract<ToThread, { name: string }>) =>
  onBehalfOf(by, () => (store[name] as (...args: unknown[]) => Promise<unknown>)(...args));

async function answer(id: number, work: () => Promise<unknown>): Promise<void> {
  try {
    say({ id, value: await work() });
  } catch (error) {
    say({ id, failure: failureOf(error) });
  }
}

parentPort?.once("message", (message: ToThread) => {
  if (typeof message === "string" || !("open" in message)) return;
  serve(message).catch(error => {
    const refusal =
      error instanceof FolderInUse ? "inUse" : error instanceof FolderRefused ? "refused" : undefined;
    say({ notOpened: failureOf(error).message, ...(refusal && { refusal }) });
  });
});
