// One officer at the embedded database: saves one after another, by turns with another commit where one is named.
import { setTimeout as wait } from "node:timers/promises";
import { quantile } from "d3-array";
import { newDeal, savePrice } from "./many-officers";
import { say } from "./say";

const SAVES = 150;
const WARM = 20;
/** As after a key: figures are made meanwhile. */
const APART_MS = 120;

/** Measures the saves of servers, each of its own tree, by turns. */
export async function benchOneOfficer(trees: { name: string; address: string }[]): Promise<void> {
  const desks = [];
  for (const { name, address } of trees)
    desks.push({ name, address, deal: await newDeal(address, 0), costs: [] as number[] });
  for (let save = 1; save <= WARM + SAVES; save++)
    for (const { address, deal, costs } of desks) {
      const start = performance.now();
      await savePrice(address, deal, save);
      if (save > WARM) costs.push(performance.now() - start);
      await wait(APART_MS);
    }
  for (const { name, costs } of desks) {
    const at = (share: number) => `${(quantile(costs, share) ?? 0).toFixed(1)} ms`;
    say(`one officer's save${name}, median and p95`, `${at(0.5)}, ${at(0.95)}`);
  }
}
