// What several processes do at once where the data is on a PostgreSQL server.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import type { OnServer } from "@/data/postgres/open-store-on-server";
import { headingOf, type Named, nameOf } from "@/exchange/deal-document";
import { showArrivals } from "@/server/arrivals";
import { listCopies, startDailyCopies } from "@/server/backups";
import { oneAtATime } from "@/server/jobs/one-at-a-time";
import { named } from "../named";
import { numberedDeal } from "./numbered-deal";
import { emptyDatabase, onServer, open, run, two, undone } from "./on-server";

onServer("several processes on one database", () => {
  test("save at one deal as one does: each confirmed save is in its history, none is half, none is twice", async () => {
    const both = await two();
    const [{ store }] = both;
    const [id = ""] = await store.insertDeals([numberedDeal(1)]);
    const confirmed: number[] = [];
    let last = 1;
    const saver = async (own: OnServer["store"], name: number) => {
      for (let save = 0; save < 15; save++) {
        const kept = await own.getDeal(id);
        const { customer, options } = numberedDeal(name * 1000 + save);
        const heading = { ...headingOf(kept?.document ?? numberedDeal(1)), customer };
        const saved = await own.updateDeal(id, kept?.version ?? 0, { heading, options });
        if (saved && typeof saved === "object") confirmed.push(saved.version);
      }
    };
    await Promise.all(Array.from({ length: 6 }, (_, k) => saver(both[k % 2]?.store ?? store, k + 1)));
    last = (await store.versionOf(id))?.version ?? 0;
    expect(confirmed.length).toBeGreaterThan(10);
    // One version for each that was confirmed, and no other.
    expect(confirmed.sort((one, other) => one - other)).toEqual(
      Array.from({ length: last - 1 }, (_, k) => k + 2),
    );
    const deal = await store.getDeal(id);
    const [, number] = /^Customer (\d+)$/.exec(nameOf(deal?.document.customer)) ?? [];
    expect(deal?.document.options[0]?.inputs.structure.price).toBe(`${number}.00`);
    const changes = await store.changesOf(id);
    expect(new Set(changes.map(change => change.number)).size).toBe(changes.length);
    if (deal) for (const change of changes) await store.stateAfter(id, deal.document, change.number);
  });

  test("name, correct and drop the same customers at once: no save fails, and the list says what each deal does", async () => {
    const both = await two();
    const customers = Array.from({ length: 3 }, (_, k) => named(`Shared ${k}`));
    const [{ store }] = both;
    const ids = await store.insertDeals(
      customers.flatMap(customer => [
        { ...numberedDeal(1), customer },
        { ...numberedDeal(2), customer },
      ]),
    );
    const begin = async (own: OnServer["store"], customer: Named) => {
      await own.insertDeals([{ ...numberedDeal(3), customer }]);
    };
    const give = async (own: OnServer["store"], customer: Named, id: string) => {
      const kept = await own.getDeal(id);
      const heading = kept && { ...headingOf(kept.document), customer };
      if (heading) await own.updateDeal(id, kept.version, { heading });
    };
    const correct = async (own: OnServer["store"], { id, name }: Named) => {
      const now = await own.recordOf("customer", id, null);
      if (now) await own.correctName("customer", id, now.name, `${name}'`);
    };
    const work = async (own: OnServer["store"], k: number) => {
      for (let round = 0; round < 12; round++) {
        const customer = customers[(k + round) % 3] ?? named("-");
        const id = ids[(k * 5 + round) % ids.length] ?? "";
        const way = [begin, give, correct][k % 3];
        await way?.(own, customer, id);
      }
    };
    await Promise.all(Array.from({ length: 6 }, (_, k) => work(both[k % 2]?.store ?? store, k)));
    // The list has it as the deal says it.
    const { lines } = await store.findLines({
      ...{ search: "", sort: "changedAt", descending: true, skip: 0, most: 1000 },
    });
    const listed = new Map(lines.map(line => [line.id, line.customer]));
    const { records } = await store.dealsAfter(null, 1000);
    expect(records.length).toBe(listed.size);
    for (const { id, document } of records) expect(listed.get(id)).toBe(nameOf(document.customer));
  });

  test("bring the same vehicles into stock at once: each is there once, with the figures of one list", async () => {
    const both = await two();
    const list = (price: number) =>
      Array.from({ length: 40 }, (_, k) => ({
        ...{ description: `Ostrel U2 van ${k}`, ...(k % 2 ? { stockNumber: `S ${k}` } : {}) },
        ...{ priceMinor: price, costMinor: null, listPriceMinor: null, currency: "USD" },
      }));
    await Promise.all([1, 2, 3, 4].map(price => both[price % 2]?.store.stockArrives(list(price))));
    await Promise.all(
      both.flatMap(({ store }) =>
        [1, 2].map(async () => {
          while ((await store.putInStock(7)) > 0);
        }),
      ),
    );
    const stock = await both[0].store.stockList();
    expect(stock).toHaveLength(40);
    expect(new Set(stock.map(({ description }) => description)).size).toBe(40);
  });

  test("do what is to be done once: a job is one process's, until that says nothing of it for too long", async () => {
    const [{ store: one }, { store: other }] = await two();
    const job = { kind: "keepCopy" as const, key: "all", payload: {} };
    await one.addJob(job);
    expect(await other.addJob(job)).toBe(false);
    const taken = await Promise.all([one, other, one, other].map(store => store.takeJob("keepCopy", 4)));
    const [held, ...more] = taken.filter(each => each !== undefined);
    expect(more).toEqual([]);
    const longer = held && (await one.holdJob(held, 4));
    expect(longer).toMatchObject(job);
    // Whoever had it is silent.
    await wait(4200);
    const next = await other.takeJob("keepCopy", 5);
    expect(next).toMatchObject(job);
    expect(longer && (await one.holdJob(longer, 5))).toBeUndefined();
    if (longer) await one.endJob(longer, null);
    expect(await one.isToBeDone(job)).toBe(true);
    if (next) await other.endJob(next, 60);
    expect(await one.takeJob("keepCopy", 5)).toBeUndefined();
  });

  test("see to what is always to be seen to one at a time", async () => {
    const both = await two();
    await Promise.all(both.map(({ ready }) => ready()));
    let [atWork, most, times] = [0, 0, 0];
    const work = async () => {
      most = Math.max(most, ++atWork);
      times++;
      await wait(30);
      atWork--;
    };
    const asked = Array.from({ length: 40 }, (_, k) =>
      wait(25 * k).then(() => oneAtATime(both[k % 2]?.store ?? both[0].store, "makeFigures", work)),
    );
    const done = (await Promise.all(asked)).filter(Boolean);
    expect([most, times]).toEqual([1, done.length]);
    expect(times).toBeGreaterThan(2);
  });

  test("show the deals of a file that another has brought in and left, and drop none that is still coming", async () => {
    const [{ store: one }, { store: other }] = await two();
    const [whole, coming] = ["99999999-0000-4000-8000-000000000021", "99999999-0000-4000-8000-000000000022"];
    for (const arrival of [whole, coming]) {
      expect(await one.startArrival(arrival)).toBe(true);
      await one.insertDeals(Array.from({ length: 30 }, (_, k) => ({ ...numberedDeal(k), arrival })));
    }
    expect(await other.startArrival(coming)).toBe(false);
    expect(await one.completeArrival(whole, 30)).toBe(true);
    // The first is gone; the second is still being brought in when the other process starts.
    expect(await other.dropCutOff(100)).toBe(0);
    await showArrivals(other);
    const lines = await other.findLines({
      search: "",
      sort: "changedAt",
      descending: true,
      skip: 0,
      most: 100,
    });
    expect(lines.found).toBe(30);
    expect(await one.tellArrival(coming, { step: "keeping", done: 30, of: 60 })).toBe(true);
    expect(await other.arrivalStep(coming)).toEqual({ step: "keeping", done: 30, of: 60 });
    expect(await other.cancelArrival(coming)).toBe(true);
    expect(await one.tellArrival(coming, { step: "keeping", done: 60, of: 60 })).toBe("cancelled");
    expect(await one.completeArrival(coming, 30)).toBe(false);
  });

  test("know what a vehicle cost that another took out of stock, when it is put back", async () => {
    const [{ store: one }, { store: other }] = await two();
    const vehicle = { description: "Ostrel U9 van", priceMinor: 100, listPriceMinor: null, currency: "USD" };
    await one.stockArrives([{ ...vehicle, costMinor: 77, invoiceMinor: 78 }]);
    await one.putInStock(1);
    const [kept] = await one.stockList();
    expect(await one.takeOutOfStock(kept?.id ?? "", kept?.version ?? 0)).toBe(true);
    expect(await other.stockCosts()).toEqual({});
    await other.stockArrives([{ ...vehicle, id: kept?.id ?? "" }]);
    await other.putInStock(1);
    expect(await one.stockCosts()).toEqual({ [kept?.id ?? ""]: { costMinor: 77, invoiceMinor: 78 } });
  });

  test("hear what each other says, also after their connections were cut", async () => {
    const url = await emptyDatabase();
    const [one, other] = [open(url), open(url)];
    await one.ready();
    const heard: string[] = [];
    let listens = 0;
    other.listen(
      "kellux",
      said => heard.push(said),
      () => listens++,
    );
    const until = async (is: () => boolean) => {
      for (let waits = 0; waits < 200 && !is(); waits++) await wait(25);
      expect(is()).toBe(true);
    };
    await until(() => listens === 1);
    await one.say("kellux", "first");
    await until(() => heard.includes("first"));
    await run(
      url,
      "select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and (query like 'listen%' or query = 'select 1')",
    );
    await until(() => listens === 2);
    await one.say("kellux", "second");
    await until(() => heard.includes("second"));
  });

  test("keep the copies one at a time, and another once the first is gone", async () => {
    const [one, other] = await two();
    await one.ready();
    expect([await one.isKeeper(), await other.isKeeper(), await one.isKeeper()]).toEqual([true, false, true]);
    undone.splice(undone.indexOf(one.close), 1);
    await one.close();
    expect(await other.isKeeper()).toBe(true);
  });

  test("make the copy of the day once, whichever of them keeps the copies", async () => {
    const both = await two();
    await both[0].store.insertDeals([numberedDeal(1)]);
    const scratch = mkdtempSync(join(tmpdir(), "kellux-copies-"));
    undone.push(async () => rmSync(scratch, { recursive: true }));
    const folders = both.map((_, k) => join(scratch, `${k}`));
    for (const [k, { store, snapshot, isKeeper }] of both.entries())
      startDailyCopies({ store, snapshot }, folders[k] ?? "", isKeeper, 0);
    const copies = () => folders.flatMap(folder => listCopies(folder));
    for (let waits = 0; waits < 200 && copies().length === 0; waits++) await wait(25);
    await wait(300);
    expect(copies()).toHaveLength(1);
  });

  test("are read as they were at one moment while they go on saving", async () => {
    const [one, other] = await two();
    const [id = ""] = await one.store.insertDeals([numberedDeal(1)]);
    const { store, end } = await other.snapshot();
    expect((await store.versionOf(id))?.version).toBe(1);
    await one.store.updateDeal(id, 1, { options: numberedDeal(2).options });
    await one.store.insertDeals([numberedDeal(7)]);
    expect((await store.versionOf(id))?.version).toBe(1);
    expect((await store.dealsAfter(null, 10)).records).toHaveLength(1);
    await end();
    expect((await one.store.dealsAfter(null, 10)).records).toHaveLength(2);
  });
});
