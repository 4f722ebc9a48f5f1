// The servers that tests share, each with a database of its own. They start together: one after another they took longer.
import { type ChildProcess, spawn } from "node:child_process";
import { once } from "node:events";
import { setTimeout as wait } from "node:timers/promises";
import { isAnswering } from "./is-answering";

/** One for each worker; within one the tests run one after another. */
export const WORKER_PORTS = [4311, 4312];
/** Where the register of many deals is served. */
export const MANY_DEALS_PORT = 4314;
const LONGEST_START_MS = 120_000;

export default async function startServers(): Promise<() => Promise<void>> {
  const servers = [
    ...WORKER_PORTS.map(port => started(port)),
    ...(process.env.KELLUX_LONG === "1" ? [started(MANY_DEALS_PORT, { MANY_DEALS: "5000" })] : []),
  ];
  // What is started is stopped, however this ends.
  process.once("exit", () => {
    for (const { child } of servers) child.kill();
  });
  await Promise.all(servers.map(({ answers }) => answers));
  return async () => {
    await Promise.all(servers.map(({ child }) => stopped(child)));
  };
}

function started(port: number, env: Record<string, string> = {}) {
  const child = spawn(process.execPath, ["e2e/server.mjs"], {
    env: { ...process.env, PORT: String(port), ...env },
    stdio: ["ignore", "ignore", "inherit"],
  });
  return { child, answers: answering(child, port) };
}

async function answering(child: ChildProcess, port: number): Promise<void> {
  const last = Date.now() + LONGEST_START_MS;
  while (Date.now() < last) {
    if (child.exitCode !== null) throw new Error(`The server at port ${port} ended with ${child.exitCode}.`);
    if (await isAnswering(`http://localhost:${port}`)) return;
    await wait(100);
  }
  throw new Error(`The server at port ${port} does not answer.`);
}

/** Waits until it has closed its database and cleared its folder away. */
async function stopped(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null) return;
  const ended = once(child, "exit");
  child.kill("SIGTERM");
  await ended;
}
