import { say } from "./say";

const ASKS = 1000;
const APART_MS = 20;

/** Asks a server 1,000 times whether it is well, 20 ms apart. Gives the milliseconds that each ask took, sorted. */
export async function healthAsks(address: string): Promise<number[]> {
  const waits: Promise<number>[] = [];
  for (let k = 0; k < ASKS; k++) {
    waits.push(healthAsk(address));
    await new Promise(resolve => setTimeout(resolve, APART_MS));
  }
  return (await Promise.all(waits)).sort((a, b) => a - b);
}

export function sayWaits(what: string, sorted: readonly number[], target = ""): void {
  const at = (share: number) => `${(sorted[Math.ceil(share * ASKS) - 1] ?? 0).toFixed(0)} ms`;
  say(`${what}, p95`, at(0.95));
  say(`${what}, longest of ${ASKS}`, at(1), target && `target ${target}`);
}

export async function healthAsk(address: string): Promise<number> {
  const start = performance.now();
  const answer = await fetch(`${address}/api/health`);
  await answer.json();
  if (!answer.ok) throw new Error("The server is not well.");
  return performance.now() - start;
}
