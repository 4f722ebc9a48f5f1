import { setTimeout as wait } from "node:timers/promises";
import { isDatabaseAway, sayUnlessAway } from "@/data/away";
import { DataRefused } from "@/data/refused";
import type { Store } from "@/data/store";
import { settleArrivals } from "./arrivals";
import { startDailyCopies } from "./backups";
import { hear } from "./changes/hub";
import { hearOfPages } from "./changes/open-pages";
import { endStreams } from "./changes/stream";
import { dataFolder } from "./data-folder";
import { databaseUrl, dataPlace } from "./data-place";
import { startFigures } from "./figures";
import { keepLateSignings } from "./late-signings";
import { clearReceived } from "./restore-backup";
import { startRemovingOld } from "./retention";
import { warnOfLowSpace } from "./space";
import { closeServerStore, isKeeper, serverSnapshot, serverStore } from "./store";
import { isThisMachine } from "./this-machine";
import { hasPeople } from "./who-asks";

const HOUR_MS = 60 * 60 * 1000;

// What the program around the server asks of it, which is another bundle.
const shared = globalThis as typeof globalThis & {
  kelluxClose?: () => Promise<void>;
  /** Ends what would go on for ever, so that the server can end. */
  kelluxEndStreams?: () => void;
};

/** Opens the database ahead of the first request, and says how it is closed when the server is told to stop. */
export async function start(): Promise<void> {
  shared.kelluxClose = closeServerStore;
  shared.kelluxEndStreams = endStreams;
  hearOfPages();
  try {
    const store = await serverStore();
    await refuseOthers();
    console.warn(`Kellux keeps its data in ${dataPlace()}.`);
    clearReceived();
    startDailyCopies({ store, snapshot: serverSnapshot }, dataFolder(), isKeeper);
    startRemovingOld(store);
    const warn = () => void warnOfLowSpace(dataFolder());
    warn();
    setInterval(warn, HOUR_MS).unref();
    startWork(store);
  } catch (error) {
    end(error);
  }
}

/**
 * Beyond this machine whoever comes is asked for a name: by Kellux, once somebody has one, or by the proxy of KELLUX_ORIGIN.
 *
 * @throws DataRefused where nobody would ask
 */
async function refuseOthers(): Promise<void> {
  const host = process.env.KELLUX_HOST ?? "";
  const isAsked = await hasPeople();
  if (isAsked || process.env.KELLUX_ORIGIN || host === "" || isThisMachine(host)) return;
  throw new DataRefused(
    `KELLUX_HOST is ${host}, and nobody has a name here yet: whoever reaches it would see everything. Make the first person, in Settings at this machine or by npm run people -- add NAME, or set KELLUX_ORIGIN where a proxy asks who is there.`,
  );
}

/** Ends the process where what holds the data is not fit for it. */
function end(error: unknown): never {
  console.error(error instanceof DataRefused ? error.message : error);
  process.exit(1);
}

const AGAIN_MS = 2000;
/** What another process has left, because it was killed, is looked for so often; alone with a folder there is none. */
const LEFT_MS = 30_000;

/** What is done by itself with what is kept: at the start, after it has become another, and what other processes leave. */
function startWork(store: Store): void {
  const settle = () => void settleArrivals(store).catch(sayUnlessAway);
  const begin = async () => {
    await startFigures(store);
    await keepLateSignings(store);
  };
  settle();
  setInterval(settle, databaseUrl() ? LEFT_MS : HOUR_MS).unref();
  hear(({ changes = [] }) => {
    const isOther = changes.some(({ of }) => of === "everything");
    if (isOther || changes.some(({ of }) => of === "jobs")) settle();
    if (isOther) void begin().catch(sayUnlessAway);
  });
  void untilThere(begin);
}

/** Does something as soon as the database answers. */
async function untilThere(work: () => Promise<void>): Promise<void> {
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (error instanceof DataRefused) return end(error);
      if (!isDatabaseAway(error)) return console.error(error);
    }
    await wait(AGAIN_MS, undefined, { ref: false });
  }
}
