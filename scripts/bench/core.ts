import { Bench } from "tinybench";
import { median, ratioByTurns } from "./by-turns";
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

const LINES_A_BATCH = 1000;
const BATCHES = 60;

/** Deal files priced in memory, beside reading and writing the same lines without pricing, by turns. */
export function benchFiles(subjects: { name: string; subject: typeof Subject }[]): void {
  const { fileLines, copyLine } = (subjects[0] as (typeof subjects)[number]).subject;
  const works = [...subjects.map(({ subject }) => subject.priceLine), copyLine];
  const times = works.map((): number[] => []);
  let written = 0;
  for (let batch = -BATCHES / 2; batch < BATCHES; batch++) {
    const from = ((batch + BATCHES) * LINES_A_BATCH) % fileLines.length;
    const lines = fileLines.slice(from, from + LINES_A_BATCH);
    for (const [k, work] of works.entries()) {
      const start = process.hrtime.bigint();
      for (const line of lines) written += work(line).length;
      // The first batches warm up.
      if (batch >= 0) times[k]?.push(Number(process.hrtime.bigint() - start) / 1e9);
    }
  }
  if (written === 0) throw new Error("Nothing was written.");
  const copied = median(times.at(-1) ?? []);
  for (const [k, { name }] of subjects.entries()) {
    const priced = median(times[k] ?? []);
    const perSecond = `${Math.round(LINES_A_BATCH / priced).toLocaleString("en-US")} a second`;
    say(`monthly loans of 72 payments priced from files${name}`, perSecond);
    const target = k === 0 ? "target ≤ 3 ×" : "";
    say(`the same to reading and writing the lines alone${name}`, ratio(priced / copied), target);
  }
}
