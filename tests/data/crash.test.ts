import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { saverProgram } from "./saver-program";

const PROGRAM = saverProgram();
const KILLS = 20;
const folder = mkdtempSync(join(tmpdir(), "kellux-crash-"));
let saver: ChildProcess | undefined;
afterAll(() => {
  saver?.kill("SIGKILL");
  rmSync(folder, { recursive: true });
});

type Run = {
  opened: { opened: number; customer: string; price: string };
  acknowledged: number;
  errors: string;
};

/** Starts the saver, lets it save some times and a while longer, and kills it. */
async function saveUntilKilled(saves: number, milliseconds: number): Promise<Run> {
  const child = spawn(process.execPath, [PROGRAM, folder]);
  saver = child;
  const run: Partial<Run> = { errors: "" };
  child.stderr.on("data", chunk => {
    run.errors += chunk;
  });
  const lines = createInterface({ input: child.stdout });
  lines.on("line", line => {
    const said = JSON.parse(line);
    if (said.opened) run.opened = said;
    run.acknowledged = said.opened ?? said.acknowledged;
    const saved = (run.acknowledged ?? 0) - (run.opened?.opened ?? 0);
    if (saved === saves) setTimeout(() => child.kill("SIGKILL"), milliseconds);
  });
  await once(child, "exit");
  lines.close();
  if (!run.opened) throw new Error(`The data did not open: ${run.errors}`);
  return run as Run;
}

test(`every acknowledged save is there after each of ${KILLS} kills`, async () => {
  let acknowledged = 0;
  let saves = 0;
  for (let kill = 0; kill < KILLS; kill++) {
    // Some kills come right after the data is opened, the others in the middle of saving.
    const moment = Math.random() * 100;
    const run = await saveUntilKilled(kill % 4, moment);
    const { opened, customer, price } = run.opened;
    // One save may have been kept whose acknowledgement the kill cut off; none may be missing.
    const where = `kill ${kill} after ${moment.toFixed(1)} ms`;
    expect([where, opened >= acknowledged && opened <= acknowledged + 1]).toEqual([where, true]);
    // The whole of that save is there, heading and inputs alike.
    expect([customer, price]).toEqual([`Customer ${opened}`, `${opened}.00`]);
    saves += run.acknowledged - opened;
    acknowledged = run.acknowledged;
  }
  expect(saves).toBeGreaterThan(KILLS);
});
