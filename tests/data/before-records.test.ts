import { cpSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { pg_trgm } from "@electric-sql/pglite/contrib/pg_trgm";
import { drizzle } from "drizzle-orm/pglite";
import { migrate } from "drizzle-orm/pglite/migrator";
import { openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import { jobsOf } from "@/data/jobs";
import type { DealDocument } from "@/exchange/deal-document";
import { lookAtKept } from "@/server/kept-rows";

/** So many migrations there were before customers and vehicles were records. */
const BEFORE = 20;

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const OPTION = id(99);
const inputs = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "1000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12 },
  find: "payment",
};
const arrived = { description: "Ostrel Late trailer", priceMinor: 5, listPriceMinor: null, currency: "USD" };

/** A data folder as it was then: two deals of one customer, one of them signed, a change of a name, and what was under way. */
async function folderOfBefore(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), "kellux-before-records-"));
  const migrations = join(folder, "migrations");
  mkdirSync(join(migrations, "meta"), { recursive: true });
  for (const file of readdirSync("src/data/migrations").filter(name => name.endsWith(".sql")))
    cpSync(`src/data/migrations/${file}`, join(migrations, file));
  const journal = JSON.parse(readFileSync("src/data/migrations/meta/_journal.json", "utf8"));
  const then = { ...journal, entries: journal.entries.slice(0, BEFORE) };
  writeFileSync(join(migrations, "meta/_journal.json"), JSON.stringify(then));
  const client = await PGlite.create(join(folder, "database"), { extensions: { pg_trgm } });
  await migrate(drizzle(client), { migrationsFolder: migrations });
  await client.exec(`
    insert into customers (id, name) values ('${id(1)}', 'Ida Farrow');
    insert into vehicles (id, description, price_minor, in_stock) values ('${id(2)}', 'Ostrel Quay van', 100, true);
    insert into deals (id, customer_id, vehicle_id, chosen, status, version, arrival) values
      ('${id(10)}', '${id(1)}', '${id(2)}', '${OPTION}', 'quoting', 3, null),
      ('${id(11)}', '${id(1)}', '${id(2)}', '${OPTION}', 'signed', 1, null),
      ('${id(12)}', null, null, '${OPTION}', 'quoting', 1, '${id(50)}');
    insert into options (id, deal_id, inputs) select '${OPTION}', id, '${JSON.stringify(inputs)}' from deals;
    insert into signings (deal_id, at, core_version, quotes) values ('${id(11)}', now(), '2', '[]');
    insert into deal_changes (deal_id, number, kind, at, words, document_version, deal_version, back) values
      ('${id(10)}', 1, 'begun', now(), '', 2, 1, null),
      ('${id(10)}', 2, 'changed', now(), 'customer Ida Farow', 2, 2, '[["customer",""],["vehicle",""]]'),
      ('${id(10)}', 3, 'changed', now(), 'customer Ida Farow → Ida Farrow', 2, 3, '[["customer","Ida Farow"]]');
    insert into arrivals values ('${id(50)}');
    insert into stock_arrivals (vehicles) values ('${JSON.stringify([arrived])}');
  `);
  await client.close();
  return folder;
}

test("a data folder from before customers and vehicles were records opens with all that it held", async () => {
  const folder = await folderOfBefore();
  const { database, sync, close } = await openDatabase(folder);
  const store = storeOf(database, sync);
  expect(await lookAtKept(database)).toBeUndefined();
  const named = {
    customer: { id: id(1), name: "Ida Farrow" },
    vehicle: { id: id(2), name: "Ostrel Quay van" },
  };
  const deal = await store.getDeal(id(10));
  expect(deal?.document).toMatchObject(named);
  // A signed one goes on saying what it was signed with, whatever its customer is called later.
  await store.correctName("customer", id(1), "Ida Farrow", "Ida Farrow-Marsh");
  expect((await store.getDeal(id(10)))?.document.customer?.name).toBe("Ida Farrow-Marsh");
  expect((await store.getDeal(id(11)))?.document).toMatchObject(named);
  // Its history leads back to what it was, whoever was named then.
  const present = (await store.getDeal(id(10)))?.document as DealDocument;
  expect((await store.stateAfter(id(10), present, 3))?.customer?.name).toBe("Ida Farrow");
  const before = await store.stateAfter(id(10), present, 2);
  expect(before?.customer).toEqual({ id: expect.stringMatching(/^[0-9a-f-]{36}$/), name: "Ida Farow" });
  expect(before?.customer?.id).not.toMatch(/^0{8}-0{4}-0{4}/);
  const first = await store.stateAfter(id(10), present, 1);
  expect([first?.customer, first?.vehicle]).toEqual([undefined, undefined]);
  // What was under way is a job now, and is done.
  expect((await jobsOf(database, "putInStock")).map(({ payload }) => payload)).toEqual([[arrived]]);
  expect(await store.putInStock(100)).toBe(1);
  expect(await store.showArrived(100)).toBe(1);
  expect((await store.stockList()).map(({ description }) => description)).toEqual([
    "Ostrel Late trailer",
    "Ostrel Quay van",
  ]);
  expect((await store.getDeal(id(12)))?.deleted).toBe(false);
  await close();
  rmSync(folder, { recursive: true });
});
