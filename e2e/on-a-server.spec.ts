// Two processes on one PostgreSQL server: killed, cut off from it, and at one deal. With KELLUX_FULL=1 at full count.
import { readFileSync } from "node:fs";
import { setTimeout as wait } from "node:timers/promises";
import { test as base, expect } from "@playwright/test";
import pg from "pg";
import { postgresPrograms, startPostgres } from "../scripts/postgres.mjs";
import { isAnswering } from "./is-answering";
import { customersAt, manyDeals, type OwnServer, runToItsEnd, spawnServer } from "./own-server";
import { askingOf, type Kept, newDealAt, priced } from "./saving-pages";

const IS_FULL = process.env.KELLUX_FULL === "1";
const [KILLS, SAVES] = IS_FULL ? [20, 3000] : [2, 300];
const PAGES = 50;
const PORTS = [4371, 4372] as const;

type Processes = {
  addresses: string[];
  server: Awaited<ReturnType<typeof startPostgres>>;
  /** Starts the process of a place, and waits until it answers. */
  start: (place: number) => Promise<void>;
  kill: (place: number) => Promise<void>;
  process: (place: number) => OwnServer | undefined;
  query: (statement: string) => Promise<Record<string, unknown>[]>;
};

const test = base.extend<{ both: Processes }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads what a fixture needs from the pattern.
  both: async ({}, use, info) => {
    info.setTimeout(IS_FULL ? 1_800_000 : 400_000);
    const server = await startPostgres(["fsync=on"]);
    const processes: (OwnServer | undefined)[] = [];
    const url = `${server.url}/postgres`;
    const start = async (place: number) => {
      const folder = info.outputPath(`folder ${place}`);
      const started = spawnServer(folder, PORTS[place] ?? 0, { KELLUX_DATABASE_URL: url });
      processes[place] = started;
      await expect.poll(() => isAnswering(started.address), { timeout: 60_000 }).toBe(true);
    };
    await Promise.all(PORTS.map((_, place) => start(place)));
    await use({
      addresses: PORTS.map(port => `http://localhost:${port}`),
      server,
      start,
      kill: async place => {
        processes[place]?.process.kill("SIGKILL");
        await processes[place]?.ended;
      },
      process: place => processes[place],
      query: async statement => {
        const client = new pg.Client(url);
        await client.connect();
        const { rows } = await client.query(statement);
        await client.end();
        return rows;
      },
    });
    for (const each of processes) each?.process.kill("SIGKILL");
    if (info.status !== info.expectedStatus)
      for (const each of processes) await info.attach("what a process said", { body: each?.said() ?? "" });
    await server.clear();
  },
});

test.skip(!postgresPrograms(), "PostgreSQL is not there.");

/** The price of a deal's first option. */
const priceOf = ({ document }: Kept) =>
  (document.options[0]?.inputs.structure as { price?: string } | undefined)?.price;

const dealsNamed = (name: string) =>
  `select count(*)::int as deals, count(distinct c.name)::int as names from deals d join customers c on c.id = d.customer_id where c.name like '${name} %' and d.deleted_at is null`;

test(`either process is killed ${KILLS} times under ${PAGES} saving pages: nothing confirmed is lost, nothing is doubled, no work is left or done twice`, async ({
  both,
}) => {
  const asking = askingOf(both.addresses);
  const deals = await Promise.all(Array.from({ length: PAGES }, (_, k) => newDealAt(asking, `Saved ${k}`)));
  let isOver = false;
  const prices = deals.map(() => 1);
  const pages = deals.map(async (deal, k) => {
    let { version } = deal;
    while (!isOver) {
      const price = (prices[k] ?? 0) + 1;
      const change = priced(deal, 0, `${price}.00`);
      const { status, reply } = await asking.until("PUT", `/api/deals/${deal.id}`, {
        version,
        change,
        brief: true,
      });
      expect([status, reply]).toEqual([200, expect.anything()]);
      version = reply.version;
      prices[k] = price;
    }
    return version;
  });
  // Files of deals and lists of vehicles come in all the time; whether one was taken that nobody confirmed is not known.
  const confirmed: string[] = [];
  const sent: string[] = [];
  const bringing = (async () => {
    for (let k = 0; !isOver; k++) {
      const name = `File${k}`;
      sent.push(name);
      const file = await fetch(`${both.addresses[k % 2]}/api/deals/all`, {
        method: "POST",
        headers: { "Content-Type": "application/x-ndjson" },
        body: manyDeals(120, name),
      }).catch(() => undefined);
      if (file?.status === 201) confirmed.push(name);
      const vehicles = Array.from({ length: 150 }, (_, v) => ({
        ...{ description: `Ostrel ${name} van ${v}`, priceMinor: v, currency: "USD" },
        ...{ costMinor: null, listPriceMinor: null },
      }));
      await asking.until("POST", "/api/stock", { vehicles });
    }
  })();
  for (let kills = 0; kills < KILLS; kills++) {
    await wait(500 + Math.random() * 2500);
    await both.kill(kills % 2);
    await both.start(kills % 2);
  }
  await wait(1000);
  isOver = true;
  const versions = await Promise.all(pages);
  await bringing;

  for (const [k, deal] of deals.entries()) {
    const { reply } = await asking.until("GET", `/api/deals/${deal.id}`);
    // Each save is there, and is there once: as many versions as prices.
    expect([priceOf(reply), reply.version, versions[k]]).toEqual([`${prices[k]}.00`, prices[k], prices[k]]);
  }
  expect(prices.reduce((sum, price) => sum + price, 0)).toBeGreaterThan(PAGES * KILLS);
  // What was cut off is cleared away by whoever is left, and what had arrived is shown.
  const left =
    "select (select count(*)::int from deals where arrival is not null) as deals, (select count(*)::int from jobs where kind in ('bringInDeals', 'showDeals', 'putInStock')) as jobs";
  await expect.poll(() => both.query(left), { timeout: 120_000 }).toEqual([{ deals: 0, jobs: 0 }]);
  for (const name of sent) {
    const [{ deals: there, names } = {}] = await both.query(dealsNamed(name));
    expect([name, there, names]).toEqual(
      confirmed.includes(name) || Number(there) > 0 ? [name, 120, 120] : [name, 0, 0],
    );
    const [stock] = await both.query(
      `select count(*)::int as vehicles, count(distinct description)::int as names from vehicles where in_stock and description like 'Ostrel ${name} van %'`,
    );
    expect([name, stock]).toEqual([name, { vehicles: 150, names: 150 }]);
  }
  expect(confirmed.length).toBeGreaterThan(0);
  const toMake = "select count(*)::int as left from register_lines where made_by is null";
  await expect.poll(() => both.query(toMake), { timeout: 120_000 }).toEqual([{ left: 0 }]);
  expect([...asking.statuses.keys()].sort()).not.toContain(500);
});

test("the server is stopped and started under load: who asks is told so, and all goes on by itself", async ({
  both,
}) => {
  const asking = askingOf(both.addresses);
  const deals = await Promise.all(Array.from({ length: PAGES }, (_, k) => newDealAt(asking, `Away ${k}`)));
  let isOver = false;
  const saved = deals.map(() => 1);
  const pages = deals.map(async (deal, k) => {
    let { version } = deal;
    for (let price = 2; !isOver; price++) {
      const change = priced(deal, 0, `${price}.00`);
      const { status, reply } = await asking.until("PUT", `/api/deals/${deal.id}`, {
        version,
        change,
        brief: true,
      });
      expect(status).toBe(200);
      ({ version } = reply);
      saved[k] = price;
    }
  });
  await wait(1500);
  for (const signal of ["SIGINT", "SIGQUIT"] as const) {
    await both.server.stop(signal);
    await wait(1500);
    for (const address of both.addresses) {
      const health = await fetch(`${address}/api/health`);
      expect([health.status, (await health.json()).error]).toEqual([
        503,
        expect.stringContaining("The database does not answer"),
      ]);
      const page = await fetch(`${address}/deals/${deals[0]?.id}`);
      expect(page.status).toBe(503);
      expect(await page.text()).toContain("The database does not answer");
    }
    await both.server.start();
    const before = saved.map(price => price);
    await expect
      .poll(() => saved.every((price, k) => price > (before[k] ?? 0)), { timeout: 30_000 })
      .toBe(true);
  }
  isOver = true;
  await Promise.all(pages);
  for (const [k, deal] of deals.entries()) {
    const { reply } = await asking.until("GET", `/api/deals/${deal.id}`);
    expect([reply.version, priceOf(reply)]).toEqual([saved[k], `${saved[k]}.00`]);
  }
  expect([...asking.statuses.keys()]).toContain(503);
  expect([...asking.statuses.keys()]).not.toContain(500);
  expect([...asking.sentences]).toEqual([expect.stringContaining("The database does not answer")]);
  // Neither process had to be started again.
  for (const place of [0, 1]) expect(both.process(place)?.process.exitCode).toBeNull();
});

test(`ten pages save ${SAVES} mixed changes of one deal: each that is confirmed is in its history, and none is half`, async ({
  both,
}) => {
  const asking = askingOf(both.addresses);
  const deal = await newDealAt(asking, "Of Ten", 5);
  const path = `/api/deals/${deal.id}`;
  /** What each version is, as whoever saved it was answered. */
  const documents = new Map<number, unknown>();
  let left = SAVES;
  const page = async (k: number) => {
    for (let save = 1; left > 0; save++) {
      const { reply: kept } = await asking.until("GET", path);
      const change = changeOf(kept, k, save);
      const { status, reply } = await asking.once("PUT", path, { version: kept.version, change });
      // Somebody else has saved the same part meanwhile.
      if (status === 409) continue;
      expect(status).toBe(200);
      left--;
      if (documents.has(reply.version)) expect(documents.get(reply.version)).toEqual(reply.document);
      documents.set(reply.version, reply.document);
    }
  };
  await Promise.all(Array.from({ length: 10 }, (_, k) => page(k)));
  const { reply: kept } = await asking.until("GET", path);
  // No version that nobody was told of, and none that was told and is not there.
  const versions = [...documents.keys()].sort((one, other) => one - other);
  expect(versions).toEqual(Array.from({ length: kept.version - 1 }, (_, k) => k + 2));
  expect(versions.length).toBeGreaterThan(SAVES / 2);
  expect(kept.document).toEqual(documents.get(kept.version));
  const changes = await both.query(
    `select number, deal_version as version from deal_changes where deal_id = '${deal.id}' and kind <> 'begun' order by number`,
  );
  expect(changes.at(-1)?.version).toBe(kept.version);
  for (const { number, version } of changes) {
    const { reply } = await asking.until("GET", `${path}/history/${number}`);
    expect([number, reply.document]).toEqual([number, documents.get(Number(version))]);
  }
});

test("everything is moved to a server, backed up there, restored over what others have saved, and moved back", async ({
  both,
}, info) => {
  const asking = askingOf(both.addresses);
  const url = both.server.url;
  await both.query("create database moved template template0 encoding 'UTF8'");
  const [from, back] = [info.outputPath("from"), info.outputPath("back")];
  const backup = info.outputPath("backup.ndjson.gz");
  // A folder with the demo, of a process of its own.
  const desk = spawnServer(from, 4379, { KELLUX_DEMO: "1" });
  await expect.poll(() => isAnswering(desk.address), { timeout: 60_000 }).toBe(true);
  const customers = await customersAt(desk.address);
  const inUse = await runToItsEnd(["scripts/move.mjs", `${url}/moved`], from);
  expect([inUse.code, inUse.err]).toEqual([1, expect.stringContaining("is in use by another Kellux")]);
  desk.process.kill("SIGTERM");
  await desk.ended;
  const moved = await runToItsEnd(["scripts/move.mjs", `${url}/moved`], from);
  expect([moved.code, moved.out]).toEqual([
    0,
    expect.stringMatching(/32 deals, \d+ rows carried from .* read again row by row and the same/),
  ]);
  const onServer = { KELLUX_DATABASE_URL: `${url}/moved` };
  const backedUp = await runToItsEnd(["scripts/backup.mjs", backup], from, onServer);
  expect([backedUp.code, backedUp.out]).toEqual([0, expect.stringContaining("32 deals")]);
  const full = await runToItsEnd(["scripts/restore.mjs", backup], from, onServer);
  expect([full.code, full.err]).toEqual([1, expect.stringContaining("is not empty; it was left as it is")]);

  // By the door of one process, over what has been saved by the other.
  await newDealAt(asking, "Saved Before");
  const restored = await fetch(`${both.addresses[0]}/api/backups/restore`, {
    method: "POST",
    headers: { "Content-Type": "application/gzip" },
    body: readFileSync(backup),
  });
  expect([restored.status, await restored.json()]).toEqual([200, expect.objectContaining({ deals: 32 })]);
  for (const address of both.addresses) expect(await customersAt(address)).toEqual(customers);
  // What was there before is in a copy.
  expect((await (await fetch(`${both.addresses[0]}/api/health`)).json()).newestBackup).not.toBeNull();
  const deal = await newDealAt(asking, "Saved After");
  expect(deal.version).toBe(1);

  const gone = await runToItsEnd(["scripts/move.mjs", back], from, onServer);
  expect([gone.code, gone.out]).toEqual([0, expect.stringContaining("row by row and the same")]);
  const again = spawnServer(back, 4379);
  await expect.poll(() => isAnswering(again.address), { timeout: 60_000 }).toBe(true);
  expect(await customersAt(again.address)).toEqual(customers);
  again.process.kill("SIGKILL");
  await again.ended;
});

/** What a page changes: an option of its own, the notes, what is assumed, or the order. */
function changeOf(kept: Kept, k: number, save: number): object {
  if (k < 5) return priced(kept, k, `${k + 1}${save}.00`);
  if (k < 7) return { heading: { ...headingIn(kept.document), notes: `${k} ${save}` } };
  return k < 9 ? { asides: { return: { rate: `${save % 30}.${k}` } } } : { order: orderIn(kept.document) };
}

type Document = Record<string, unknown> & { options: { id: string }[]; chosen?: string };

const headingIn = (document: unknown) => {
  const { options: _options, chosen: _chosen, asides: _asides, ...heading } = document as Document;
  return heading;
};

/** The options in another order. */
const orderIn = (document: unknown) => {
  const { options, chosen } = document as Document;
  const [first, ...others] = options.map(({ id }) => id);
  return { chosen, options: [...others, first] };
};
