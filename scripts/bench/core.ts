import { Bench } from "tinybench";
import { ratioByTurns } from "./by-turns";
import { ratio, say } from "./say";
import type * as Subject from "./subject";

/** Median microseconds of each piece of work, by name. */
async function medians(work: Record<string, () => unknown>): Promise<(name: string) => number> {
  const bench = new Bench({ time: 800, warmupTime: 300 });
  for (const [name, run] of Object.entries(work)) bench.add(name, run);
  await bench.run();
  return name => {
    const result = bench.getTask(name)?.result;
    if (result?.state !== "completed") throw new Error(`${name} was not measured.`);
    return result.latency.p50 * 1000;
  };
}

/** The core's work, each piece beside a yardstick. */
export async function benchCore({ coreWork, TERMS }: typeof Subject): Promise<void> {
  const took = await medians(coreWork());
  const toTable = (name: string) => ratio(took(name) / took("table 360"));
  for (const payments of TERMS) {
    const target = payments === 360 ? "target ≤ 1 ×" : "";
    const measured = ratio(took(`table ${payments}`) / took(`loop ${payments}`));
    say(`whole quote, ${payments} dated rows, to a bare floating-point loop`, measured, target);
  }
  say("cost of 360 rows to 60 rows (6 × as many)", ratio(took("table 360") / took("table 60")));
  say("cost of 1,200 rows to 60 rows (20 × as many)", ratio(took("table 1200") / took("table 60")));
  const rateSolve = ratio(took("solve rate") / took("closed form"));
  say("solving a rate to one closed-form payment", rateSolve, "target ≤ 8 ×");
  say("finding a deal's rate to a 360-row table", toTable("find rate"));
  say("finding a price from a payment to a 360-row table", toTable("find price"));
  say("finding a price from a finance charge to a 360-row table", toTable("find price from cost"));
  say("360 rows by days, yearly compounding, to a 360-row table", toTable("quote by days"));
  say("whole lease, 360 rows, to a bare floating-point loop", ratio(took("lease 360") / took("loop 360")));
  say("finding a residual from a total to a 360-row table", toTable("find residual"));
  say("a lease from a fixed sum at signing to a 360-row table", toTable("lease from a sum"));
  say("APR and effective rate of 360 payments to a 360-row table", toTable("yearly rates"));
}

const YARDSTICK = /^(closed form|loop )/;

/** Each piece of the core's work beside the same piece of another commit. */
export function compareCore(here: typeof Subject, there: typeof Subject): void {
  const theirs = there.coreWork();
  for (const [name, work] of Object.entries(here.coreWork())) {
    if (YARDSTICK.test(name)) continue;
    say(`core: ${name}`, comparison(work, theirs[name]));
  }
}

function comparison(work: () => unknown, theirs: (() => unknown) | undefined): string {
  try {
    theirs?.();
  } catch {
    return "not there";
  }
  return theirs === undefined ? "not there" : ratio(ratioByTurns(work, theirs));
}
