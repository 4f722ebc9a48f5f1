import { CORE_VERSION } from "@/core";
import { sayUnlessAway } from "@/data/say-unless-away";
import type { Store } from "@/data/store";
import { inTurns } from "@/data/turns";
import { figuresInThread } from "./in-thread";
import { makeFigures } from "./make-figures";

const SOON_MS = 40;
/** So few at a time that others are served in between. */
const AT_A_TIME = 200;

type Service = { wake: () => void };

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxFigures?: Service };

/** Makes the register's figures from now on whenever it is woken, and first those that another core made. */
export async function startFigures(store: Store): Promise<void> {
  shared.kelluxFigures ??= figuresService(store);
  await inTurns(() => store.forgetFiguresOfOthers(CORE_VERSION, AT_A_TIME));
  wakeFigures();
}

function figuresService(store: Store): Service {
  const make = figuresInThread();
  let [isRunning, isWanted] = [false, false];
  const run = async () => {
    isRunning = true;
    while (isWanted) {
      isWanted = false;
      await makeFigures(store, make).catch(sayUnlessAway);
    }
    isRunning = false;
  };
  const wake = () => {
    isWanted = true;
    // Whoever saved is answered first.
    if (!isRunning) setTimeout(() => !isRunning && void run(), SOON_MS);
  };
  return { wake };
}

/** Says that a deal was changed, so that its figures are made. */
export function wakeFigures(): void {
  shared.kelluxFigures?.wake();
}
