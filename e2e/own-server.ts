// A server of a test's own, which it may kill, starve and restart.
import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { expect } from "@playwright/test";

/** A program that serves the app. */
export const START = 'const { serve } = await import("./scripts/serve.mjs"); await serve();';

export type OwnServer = {
  address: string;
  process: ChildProcess;
  /** What it has said so far. */
  said: () => string;
  /** How it ended: its code, or the signal. */
  ended: Promise<number | string>;
};

/** Starts a server on a data folder, and waits until it answers. */
export async function startServer(
  folder: string,
  port: number,
  env: Record<string, string> = {},
): Promise<OwnServer> {
  const address = `http://localhost:${port}`;
  const server = spawn(process.execPath, ["--input-type=module", "--eval", START], {
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
  const answers = () =>
    fetch(`${address}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  await expect.poll(answers, { timeout: 40_000 }).toBe(true);
  return { address, process: server, said: () => said, ended };
}

export async function stopServer({ process: server, ended }: OwnServer, signal: NodeJS.Signals = "SIGKILL") {
  server.kill(signal);
  return ended;
}

const DEAL = {
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
