import { CORE_VERSION } from "@/core";
import { sayUnlessAway } from "@/data/away";
import type { Store } from "@/data/store";
import { inTurns } from "@/data/turns";
import { hear } from "../changes/hub";
import { oneAtATime } from "../jobs/one-at-a-time";
import { figuresInThread } from "./in-thread";
import { makeFigures } from "./make-figures";

const SOON_MS = 40;
/** While another process makes them it is looked again so often whether there are more. */
const LOOK_MS = 1000;
/** So few at a time that others are served in between. */
const AT_A_TIME = 200;

type Service = { wake: () => void };

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxFigures?: Service };

/** Makes the register's figures from now on whenever a deal was changed, and first those that another core made. */
export async function startFigures(store: Store): Promise<void> {
  shared.kelluxFigures ??= figuresService(store);
  await inTurns(() => store.forgetFiguresOfOthers(CORE_VERSION, AT_A_TIME));
  shared.kelluxFigures.wake();
}

function figuresService(store: Store): Service {
  const make = figuresInThread();
  let [isRunning, isWanted] = [false, false];
  const makeAll = () => oneAtATime(store, "makeFigures", () => makeFigures(store, make));
  const run = async () => {
    isRunning = true;
    while (isWanted) {
      isWanted = false;
      if ((await store.dealsToMake(1)).length > 0 && !(await makeAll())) setTimeout(wake, LOOK_MS).unref();
    }
  };
  const wake = () => {
    isWanted = true;
    // Whoever saved is answered first.
    if (!isRunning)
      setTimeout(() => {
        if (isRunning) return;
        void run()
          .catch(sayUnlessAway)
          .finally(() => {
            isRunning = false;
          });
      }, SOON_MS);
  };
  hear(({ changes = [] }) => changes.some(({ of }) => of === "deals") && wake());
  return { wake };
}
