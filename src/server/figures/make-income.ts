import { Worker } from "node:worker_threads";
import { CORE_VERSION } from "@/core";
import { sayUnlessAway } from "@/data/away";
import type { IncomeFrom, MadeIncome } from "@/data/deal-income";
import type { Store } from "@/data/store";
import type { EarnedFigures } from "@/exchange/income";
import { oneAtATime } from "../jobs/one-at-a-time";
import { workInThread } from "../threads/work-in-thread";

/** At most so many deals are taken at a time, so that others are served in between. */
const AT_A_TIME = 20;
const LONGEST_MS = 20_000;

type IncomeMaker = (from: IncomeFrom) => Promise<EarnedFigures | undefined>;

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxIncome?: { make: IncomeMaker; isRunning: boolean } };

/** Makes what agreed and signed deals earn, where it is still to be made, in a thread of its own. */
export function makeIncome(store: Store): void {
  shared.kelluxIncome ??= {
    make: workInThread<IncomeFrom, EarnedFigures>(
      () => new Worker(new URL("./thread.ts", import.meta.url)),
      LONGEST_MS,
    ),
    isRunning: false,
  };
  const service = shared.kelluxIncome;
  if (service.isRunning) return;
  service.isRunning = true;
  void oneAtATime(store, "makeIncome", () => makeAll(store, service.make))
    .catch(sayUnlessAway)
    .finally(() => {
      service.isRunning = false;
    });
}

async function makeAll(store: Store, make: IncomeMaker): Promise<void> {
  for (;;) {
    const toMake = await store.incomeToMake(CORE_VERSION, AT_A_TIME);
    if (toMake.length === 0) return;
    const made: MadeIncome[] = [];
    for (const { dealId, dealVersion, ...from } of toMake)
      made.push({ dealId, dealVersion, figures: (await make(from)) ?? tooMuchWork(from) });
    await store.keepIncome(made, CORE_VERSION);
  }
}

/** What is known of a deal whose figures take too much work. */
const tooMuchWork = ({ inputs }: IncomeFrom): EarnedFigures => ({
  currency: (JSON.parse(inputs) as { currency: string }).currency,
  ...{ front: null, back: null, reserve: null, officerShare: null, spread: null },
  ...{ extras: [], reason: null, approval: null, chargedBack: [] },
});
