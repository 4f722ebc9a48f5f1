import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { saverProgram } from "./saver-program";

const PROGRAM = saverProgram();
const KILLS = Number(process.env.KELLUX_KILLS ?? 20);
const LONGEST_KILL_MS = 60_000;
const MODES = ["save", "import", "backup"] as const;
/** A first start takes several times as long as the others: every tenth kill is one. */
const FIRST_EVERY = 10;
const folder = mkdtempSync(join(tmpdir(), "kellux-crash-"));
let saver: ChildProcess | undefined;
afterAll(() => {
  saver?.kill("SIGKILL");
  rmSync(folder, { recursive: true });
});

type Found = { opened: number; customer: string; price: string; batches: number; broken: string[] };
type Run = {
  /** What the kill before had left; undefined where this one came before the data was open. */
  found: Found | undefined;
  acknowledged: number;
  batches: number;
  errors: string;
};

/**
 * Starts the saver and kills it.
 *
 * @param steps how many pieces of work it acknowledges before that, or null where it is killed so many milliseconds after
 *   its start, whatever it does then
 */
async function killed(data: string, mode: string, steps: number | null, milliseconds: number): Promise<Run> {
  const child = spawn(process.execPath, [PROGRAM, data, mode]);
  saver = child;
  const run: Run = { found: undefined, acknowledged: 0, batches: 0, errors: "" };
  const kill = () => setTimeout(() => child.kill("SIGKILL"), milliseconds);
  if (steps === null) kill();
  child.stderr.on("data", chunk => {
    run.errors += chunk;
  });
  const lines = createInterface({ input: child.stdout });
  let said = -1;
  lines.on("line", line => {
    const heard = JSON.parse(line);
    if (heard.opened) run.found = heard;
    run.acknowledged = heard.opened ?? heard.acknowledged ?? run.acknowledged;
    run.batches = heard.batches ?? run.batches;
    said += 1;
    if (said === steps) kill();
  });
  await once(child, "exit");
  lines.close();
  return run;
}

/** What is wrong with what a kill has left, after a run that acknowledged so much. */
function lossIn(
  { found, errors }: Run,
  before: { acknowledged: number; batches: number },
): string | undefined {
  if (!found) return `The data did not open: ${errors}`;
  const { opened, customer, price, batches, broken } = found;
  // One save may have been kept whose acknowledgement the kill cut off; none may be missing.
  if (opened < before.acknowledged || opened > before.acknowledged + 1)
    return `${before.acknowledged} acknowledged, ${opened} there`;
  // The whole of that save is there, heading and inputs alike.
  if (customer !== `Customer ${opened}` || price !== `${opened}.00`)
    return `half a save: ${customer}, ${price}`;
  // All deals of a file, or none.
  if (!Number.isInteger(batches) || batches < before.batches || batches > before.batches + 1)
    return `${before.batches} files brought in, ${batches} there`;
  return broken.length > 0 ? `copies that are not whole: ${broken.join(", ")}` : undefined;
}

test(
  `nothing that was acknowledged is lost, and every folder opens, after each of ${KILLS} kills`,
  async () => {
    let before = { acknowledged: 1, batches: 0 };
    let saves = 0;
    for (let kill = 0; kill < KILLS; kill++) {
      const mode = MODES[kill % MODES.length] ?? "save";
      if (kill % FIRST_EVERY === FIRST_EVERY - 1) {
        await killedAtFirstStart(kill);
        continue;
      }
      // Some kills come right after the data is opened, the others in the middle of the work.
      const moment = Math.random() * 100;
      const run = await killed(folder, mode, kill % 5, moment);
      expect([`kill ${kill} (${mode}) after ${moment.toFixed(1)} ms`, lossIn(run, before)]).toEqual([
        expect.anything(),
        undefined,
      ]);
      saves += run.acknowledged - (run.found?.opened ?? 0);
      before = { acknowledged: run.acknowledged, batches: run.batches };
    }
    expect(saves).toBeGreaterThan(KILLS / 2);
  },
  LONGEST_KILL_MS * KILLS,
);

const LONGEST_START_MS = 5000;

/** A folder whose first start was cut off at any moment opens, with what was acknowledged by then. */
async function killedAtFirstStart(kill: number): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), "kellux-first-"));
  const moment = Math.random() * LONGEST_START_MS;
  const first = await killed(data, "save", null, moment);
  const next = await killed(data, "save", 0, 0);
  const before = { acknowledged: first.acknowledged || 1, batches: 0 };
  expect([`kill ${kill} ${moment.toFixed(1)} ms after a first start`, lossIn(next, before)]).toEqual([
    expect.anything(),
    undefined,
  ]);
  rmSync(data, { recursive: true });
}
