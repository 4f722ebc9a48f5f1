import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { COMPILE_ONCE } from "../compile-once";
import { saverProgram } from "./saver-program";

const PROGRAM = saverProgram();
const KILLS = Number(process.env.KELLUX_KILLS ?? 6);
const LONGEST_KILL_MS = 60_000;
/** A restoring takes as long as all the others. */
const MODES = ["save", "import", "stock", "backup", "save", "import", "stock", "restore"] as const;
/** So many kills follow one another on the same data; what they leave is looked through by every start that follows. */
const IN_ONE_FOLDER = 10;
const LONGEST_START_MS = 5000;
const scratch = mkdtempSync(join(tmpdir(), "kellux-crash-"));
let saver: ChildProcess | undefined;
afterAll(() => {
  saver?.kill("SIGKILL");
  rmSync(scratch, { recursive: true });
});

type Found = {
  opened: number;
  customer: string;
  price: string;
  asides: { tried: number };
  dealerAt: number;
  dealer: { options?: Record<string, { cost: string }> };
  batches: number;
  stocks: number;
  broken: string[];
};
type Run = {
  /** What the kill before had left; undefined where this one came before the data was open. */
  found: Found | undefined;
  acknowledged: number;
  /** The version of the deal whose dealer's part is saved. */
  told: number;
  batches: number;
  stocks: number;
  errors: string;
};

/**
 * Starts the saver and kills it.
 *
 * @param steps how many pieces of work it acknowledges before that, or null where it is killed so many milliseconds after
 *   its start, whatever it does then
 */
async function killed(data: string, mode: string, steps: number | null, milliseconds: number): Promise<Run> {
  const child = spawn(process.execPath, [COMPILE_ONCE, PROGRAM, data, mode]);
  saver = child;
  const run: Run = { found: undefined, acknowledged: 0, told: 0, batches: 0, stocks: 0, errors: "" };
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
    run.told = heard.dealerAt ?? heard.told ?? run.told;
    run.batches = heard.batches ?? run.batches;
    run.stocks = heard.stocks ?? run.stocks;
    said += 1;
    if (said === steps) kill();
  });
  await once(child, "exit");
  lines.close();
  return run;
}

/** What is wrong with what a kill has left, after a run that acknowledged so much. */
function lossIn({ found, errors }: Run, before: Run): string | undefined {
  if (!found) return `The data did not open: ${errors}`;
  const { opened, customer, price, asides, batches, stocks, broken } = found;
  // One save may have been kept whose acknowledgement the kill cut off; none may be missing.
  // The first deal is there as soon as there is anything.
  const acknowledged = Math.max(before.acknowledged, 1);
  if (opened < acknowledged || opened > acknowledged + 1)
    return `${acknowledged} acknowledged, ${opened} there`;
  // The whole of that save is there, heading, inputs and asides alike.
  if (customer !== `Customer ${opened}` || price !== `${opened}.00` || asides.tried !== opened)
    return `half a save: ${customer}, ${price}, ${asides.tried}`;
  const lost = dealerLoss(found, Math.max(before.told, 1));
  if (lost) return lost;
  // All deals of a file, or none; all vehicles of a list, or none.
  const files = [batches, before.batches, "files"] as const;
  const lists = [stocks, before.stocks, "lists of vehicles"] as const;
  for (const [there, confirmed, what] of [files, lists])
    if (!Number.isInteger(there) || there < confirmed || there > confirmed + 1)
      return `${confirmed} ${what} brought in, ${there} there`;
  return broken.length > 0 ? `copies that are not whole: ${broken.join(", ")}` : undefined;
}

/** The same of the dealer's part of another deal. */
function dealerLoss({ dealerAt, dealer }: Found, told: number): string | undefined {
  const [known] = Object.values(dealer.options ?? {});
  if (dealerAt < told || dealerAt > told + 1)
    return `version ${told} of the dealer's part acknowledged, ${dealerAt} there`;
  return dealerAt > 1 && known?.cost !== `${dealerAt}`
    ? `half a save of the dealer's part: ${dealerAt}, ${known?.cost}`
    : undefined;
}

test(
  `nothing that was acknowledged is lost, and every folder opens, after each of ${KILLS} kills`,
  async () => {
    let saves = 0;
    for (let kills = 0; kills < KILLS; kills += IN_ONE_FOLDER)
      saves += await killsInOneFolder(Math.min(IN_ONE_FOLDER, KILLS - kills), kills);
    expect(saves).toBeGreaterThan(KILLS / 2);
  },
  LONGEST_KILL_MS * KILLS,
);

/** Kills that follow one another in a new folder, the first of them somewhere in its first start; gives the saves made. */
async function killsInOneFolder(count: number, killsBefore: number): Promise<number> {
  const folder = join(scratch, `data ${killsBefore}`);
  let moment = Math.random() * LONGEST_START_MS;
  let last = await killed(folder, "save", null, moment);
  let what = `a first start, after ${moment.toFixed(1)} ms`;
  let saves = 0;
  for (let kill = 1; kill <= count; kill++) {
    const mode = MODES[(killsBefore + kill) % MODES.length] ?? "save";
    // Some kills come right after the data is opened, the others in the middle of the work; the last run only looks.
    moment = Math.random() * 100;
    const run = await killed(folder, mode, kill === count ? 0 : kill % 5, moment);
    expect([`kill ${killsBefore + kill} (${what})`, lossIn(run, last)]).toEqual([
      expect.anything(),
      undefined,
    ]);
    saves += run.acknowledged - (run.found?.opened ?? 0);
    what = `${mode}, ${kill % 5} acknowledged, after ${moment.toFixed(1)} ms`;
    last = run;
  }
  rmSync(folder, { recursive: true });
  return saves;
}
