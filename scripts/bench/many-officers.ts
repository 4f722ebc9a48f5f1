// Fifty pages that save and search, against the embedded database, and one process and two on a PostgreSQL server.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { quantile } from "d3-array";
import { databaseOver, readyServer } from "@/data/postgres/open-server";
import { withConnection } from "@/data/postgres/pool";
import { fillDatabase } from "../many-deals";
import { postgresPrograms, startPostgres } from "../postgres.mjs";
import { healthAsk } from "./health-asks";
import { say } from "./say";
import { type Served, serveOnServer, serveTree } from "./served";

const PAGES = 50;
const DEALS = 20_000;
const LASTS_MS = 20_000;
const WARM_MS = 3000;
/** A page saves about once a second, and every fourth searches. */
const SAVES_APART_MS = 1000;
const SEARCHES_APART_MS = 500;
const ASKS_APART_MS = 50;
const SEARCH_KEYS = ["v", "va", "van", "zoe", "zoe 1", "stock 19", "683.97"];

type Costs = { saves: number[]; registers: number[]; searches: number[]; asks: number[] };

/** Measures all three, one after the other. */
export async function benchManyOfficers(folder: string, port: number): Promise<void> {
  await measured("the embedded database", () => serveTree(folder, port, DEALS).then(one => [one]));
  if (!postgresPrograms()) return say("50 pages on a PostgreSQL server", "not measured: it is not there");
  const server = await startPostgres([]);
  const copies = mkdtempSync(join(tmpdir(), "kellux-bench-"));
  try {
    const url = `${server.url}/postgres`;
    await readyServer(url);
    await withConnection(url, async client => {
      await fillDatabase(databaseOver(client), DEALS);
      await client.query("analyze");
    });
    const serve = (count: number) => () =>
      Promise.all(
        Array.from({ length: count }, (_, k) => serveOnServer(url, join(copies, `${k}`), port + k)),
      );
    await measured("one process on a server", serve(1));
    await measured("two processes on a server", serve(2));
  } finally {
    await server.clear();
    rmSync(copies, { recursive: true, force: true });
  }
}

async function measured(what: string, serve: () => Promise<Served[]>): Promise<void> {
  const served = await serve();
  try {
    const costs = await load(served.map(({ address }) => address));
    for (const [name, list] of Object.entries(costs)) {
      const at = (share: number) => `${(quantile(list, share) ?? 0).toFixed(0)} ms`;
      say(
        `${PAGES} pages, ${what}: ${NAMES[name as keyof Costs]}, median and p95`,
        `${at(0.5)}, ${at(0.95)}`,
      );
    }
    say(`${PAGES} pages, ${what}: saves a second`, (costs.saves.length / (LASTS_MS / 1000)).toFixed(0));
  } finally {
    for (const { stop } of served) stop();
    await wait(1000);
  }
}

const NAMES: Record<keyof Costs, string> = {
  saves: "a save",
  registers: `the register of ${DEALS.toLocaleString("en")} deals`,
  searches: "a search key in it",
  asks: "a health ask",
};

async function load(addresses: readonly string[]): Promise<Costs> {
  const costs: Costs = { saves: [], registers: [], searches: [], asks: [] };
  const [begins, ends] = [Date.now() + WARM_MS, Date.now() + WARM_MS + LASTS_MS];
  const note = (kind: keyof Costs, cost: number) => Date.now() > begins && costs[kind].push(cost);
  const timed = async (kind: keyof Costs, work: () => Promise<unknown>) => {
    const start = performance.now();
    await work();
    note(kind, performance.now() - start);
  };
  const page = async (k: number) => {
    const address = addresses[k % addresses.length] ?? "";
    await wait((k * SAVES_APART_MS) / PAGES);
    const deal = await newDeal(address, k);
    for (let save = 1; Date.now() < ends; save++) {
      await timed("saves", () => savePrice(address, deal, save));
      await wait(SAVES_APART_MS);
    }
  };
  const searcher = async (k: number) => {
    const address = addresses[k % addresses.length] ?? "";
    await wait((k * SEARCHES_APART_MS) / PAGES);
    for (let search = k; Date.now() < ends; search++) {
      const words = SEARCH_KEYS[search % SEARCH_KEYS.length] ?? "";
      await timed("searches", () => json(`${address}/api/deals?search=${encodeURIComponent(words)}`));
      await timed("registers", () => json(`${address}/api/deals`));
      await wait(SEARCHES_APART_MS);
    }
  };
  const asker = async () => {
    for (let k = 0; Date.now() < ends; k++) {
      note("asks", await healthAsk(addresses[k % addresses.length] ?? ""));
      await wait(ASKS_APART_MS);
    }
  };
  await Promise.all([
    ...Array.from({ length: PAGES }, (_, k) => page(k)),
    ...Array.from({ length: PAGES / 4 }, (_, k) => searcher(k)),
    asker(),
  ]);
  return costs;
}

type Deal = { id: string; version: number; document: { options: { id: string }[] } };

const INPUTS = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "30000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};

export const newDeal = async (address: string, k: number): Promise<Deal> =>
  (await json(`${address}/api/deals/import`, "POST", {
    fileName: `Officer ${k}.json`,
    text: JSON.stringify(INPUTS),
  })) as Deal;

/** Saves another price, as an officer's page does: what is sent back is the version alone. */
export async function savePrice(address: string, deal: Deal, save: number): Promise<void> {
  const inputs = { ...INPUTS, structure: { price: `${30_000 + save}.00` } };
  const change = { options: [{ id: deal.document.options[0]?.id, name: "", inputs }] };
  const saved = await json(`${address}/api/deals/${deal.id}`, "PUT", {
    version: deal.version,
    change,
    brief: true,
  });
  deal.version = (saved as Deal).version;
}

async function json(path: string, method = "GET", body?: object): Promise<unknown> {
  const answer = await fetch(path, {
    method,
    ...(body && { headers: { "Content-Type": "application/json" }, body: JSON.stringify(body) }),
  });
  const reply = await answer.json();
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${JSON.stringify(reply)}`);
  return reply;
}
