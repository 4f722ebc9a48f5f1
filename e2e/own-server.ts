// A server of a test's own, which it may kill, starve and restart.
import { type ChildProcess, execFile, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { test as base, expect } from "@playwright/test";
import { COMPILE_ONCE } from "../tests/compile-once";
import { copyFreshData } from "../tests/fresh-data.mjs";
import { isAnswering } from "./is-answering";

/** A program that serves the app. */
export const START = 'const { serve } = await import("./scripts/serve.mjs"); await serve();';

/** A program that serves it as npm start does, built or not. */
export const KEEP_RUNNING =
  'const { keepRunning } = await import("./scripts/kept-running.mjs"); keepRunning();';

export type OwnServer = {
  address: string;
  process: ChildProcess;
  /** What it has said so far. */
  said: () => string;
  /** How it ended: its code, or the signal. */
  ended: Promise<number | string>;
};

/** Starts a server on a data folder. It does not answer yet. */
export function spawnServer(
  folder: string,
  port: number,
  env: Record<string, string> = {},
  program = START,
): OwnServer {
  const server = spawn(process.execPath, [COMPILE_ONCE, "--input-type=module", "--eval", program], {
    env: { ...process.env, KELLUX_DATA_DIR: folder, PORT: String(port), ...env },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let said = "";
  for (const stream of [server.stdout, server.stderr]) {
    stream.on("data", chunk => {
      said += chunk;
    });
  }
  const ended = once(server, "exit").then(([code, signal]) => (code ?? signal) as number | string);
  return { address: `http://localhost:${port}`, process: server, said: () => said, ended };
}

/** Where a test keeps its folders and runs its servers, one at a time. */
export type Own = {
  /** This and the next nine are the test's own. */
  port: number;
  /** For files, with spaces in its path. Away after the test. */
  scratch: string;
  /** A data folder as a first start leaves it. */
  newFolder: () => string;
  /** Where there is nothing yet. */
  emptyFolder: () => string;
  /** Waits until the server answers. */
  start: (folder: string, env?: Record<string, string>, program?: string) => Promise<OwnServer>;
  stop: (signal?: NodeJS.Signals) => Promise<unknown>;
};

/** A test with a server of its own, to which its page goes too. */
export const test = base.extend<{ own: Own }>({
  baseURL: async ({ own }, use) => use(`http://localhost:${own.port}`),
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads what a fixture needs from the pattern.
  own: async ({}, use, info) => {
    // Servers start in it, of which a slow machine makes half a minute each.
    info.setTimeout(180_000);
    // Workers run beside each other, the tests of one worker one after another.
    const port = 4320 + 10 * info.parallelIndex;
    const scratch = mkdtempSync(join(tmpdir(), "kellux own server "));
    let folders = 0;
    const emptyFolder = () => join(scratch, `data folder ${++folders}`);
    let server: OwnServer | undefined;
    const stop = async (signal: NodeJS.Signals = "SIGKILL") => {
      server?.process.kill(signal);
      return server?.ended;
    };
    await use({
      port,
      scratch,
      newFolder: () => {
        const folder = emptyFolder();
        copyFreshData(folder);
        return folder;
      },
      emptyFolder,
      start: async (folder, env, program) => {
        const started = spawnServer(folder, port, env, program);
        server = started;
        await expect.poll(() => isAnswering(started.address), { timeout: 40_000 }).toBe(true);
        return started;
      },
      stop,
    });
    if (server && info.status !== info.expectedStatus)
      await info.attach("what the server said", { body: server.said() });
    await stop();
    rmSync(scratch, { recursive: true, force: true });
  },
});

/** Runs a program on a data folder, until it ends. */
export function runToItsEnd(
  args: string[],
  folder: string,
  env: Record<string, string> = {},
): Promise<{ code: number; out: string; err: string }> {
  return new Promise(resolve => {
    execFile(
      process.execPath,
      [COMPILE_ONCE, ...args],
      { env: { ...process.env, KELLUX_DATA_DIR: folder, ...env } },
      (error, out, err) => resolve({ code: Number(error?.code ?? 0), out, err }),
    );
  });
}

/** A made-up deal, as a file. */
export const DEAL = {
  format: "kellux-deal",
  version: 2,
  currency: "USD",
  options: [
    {
      structure: { price: "30000.00" },
      plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 },
      find: "payment",
    },
  ],
};

/** Made-up deals as a file that has one on each line. */
export const manyDeals = (count: number, name = "Many", notes = "-"): string =>
  Array.from(
    { length: count },
    (_, k) => `${JSON.stringify({ ...DEAL, notes, customer: `${name} ${k}` })}\n`,
  ).join("");

/** Brings in such a file, and gives the answer. */
export const bringIn = (address: string, text: string): Promise<Response> =>
  fetch(`${address}/api/deals/all`, {
    method: "POST",
    headers: { "Content-Type": "application/x-ndjson" },
    body: text,
  });

/** The customers of all deals, as the file of all deals has them. */
export async function customersAt(address: string): Promise<string[]> {
  const text = await (await fetch(`${address}/api/deals/all`)).text();
  return text
    .split("\n")
    .filter(line => line !== "")
    .map(line => JSON.parse(line).customer)
    .sort();
}
