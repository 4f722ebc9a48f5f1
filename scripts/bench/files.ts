import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { median } from "./by-turns";
import { ratio, say } from "./say";

const LINES = 100_000;
const TURNS = 7;

function dealFile(price: number, yearlyRate: number) {
  return {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: price.toFixed(2) },
    plan: {
      kind: "loan",
      yearlyRate: yearlyRate.toFixed(2),
      payments: 72,
      frequency: "monthly",
      signed: "2026-11-24",
    },
    find: "payment",
  };
}

/** Seconds that a program takes from its start to its end. */
function seconds(folder: string, program: string[]): number {
  const start = process.hrtime.bigint();
  const { status } = spawnSync(process.execPath, program, {
    cwd: folder,
    stdio: ["ignore", "ignore", "inherit"],
  });
  if (status !== 0) throw new Error(`${program.join(" ")} failed.`);
  return Number(process.hrtime.bigint() - start) / 1e9;
}

/**
 * Prices a file of many monthly loans with the command line of each tree, start and all, beside a program that reads
 * and writes the same lines without pricing, by turns.
 */
export function benchFiles(trees: readonly { name: string; folder: string }[]): void {
  const folder = mkdtempSync(join(tmpdir(), "kellux-bench-"));
  const path = join(folder, "deals.ndjson");
  const lines = Array.from({ length: LINES }, (_, k) =>
    JSON.stringify(dealFile(20_000 + k * 0.37, 3 + (k % 700) / 100)),
  );
  writeFileSync(path, lines.join("\n"));
  const ratios = trees.map((): number[] => []);
  const rates = trees.map((): number[] => []);
  for (let turn = 0; turn < TURNS; turn++) {
    const copied = seconds(".", ["scripts/bench/copy-lines.mjs", path]);
    for (const [k, tree] of trees.entries()) {
      const priced = seconds(tree.folder, ["scripts/quote.mjs", "--many", path]);
      ratios[k]?.push(priced / copied);
      rates[k]?.push(LINES / priced);
    }
  }
  rmSync(folder, { recursive: true });
  for (const [k, { name }] of trees.entries()) {
    const target = k === 0 ? "target ≤ 3 ×" : "";
    const perSecond = `${Math.round(median(rates[k] ?? [])).toLocaleString("en-US")} a second`;
    say(`100,000 monthly loans priced from a file${name}`, perSecond);
    say(`the same to reading and writing the lines alone${name}`, ratio(median(ratios[k] ?? [])), target);
  }
}
