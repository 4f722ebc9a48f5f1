// Everything is carried from a folder to a server and back: row by row the same, or not at all.
import { createHash } from "node:crypto";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { getTableName, sql } from "drizzle-orm";
import pg from "pg";
import { carry, isEmpty, TABLES } from "@/data/carry";
import { rowsOf } from "@/data/database";
import { type OpenDatabase, openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import { carryFromServer, carryToServer } from "@/data/postgres/carry-to-server";
import { readyServer } from "@/data/postgres/open-server";
import { openStoreOnServer } from "@/data/postgres/open-store-on-server";
import { loadDemo } from "@/server/demo";
import { copyFreshData } from "../fresh-data.mjs";
import { named } from "../named";
import { fillWithPeople } from "./house-of-people";
import { numberedDeal } from "./numbered-deal";
import { newServerDatabase, TEST_SERVER } from "./test-database";

const scratch = mkdtempSync(join(tmpdir(), "kellux-carry-"));
let folders = 0;
const opened: OpenDatabase[] = [];
async function openFolder(): Promise<OpenDatabase> {
  const folder = join(scratch, `folder ${++folders}`);
  copyFreshData(folder);
  const open = await openDatabase(folder);
  opened.push(open);
  return open;
}
let full: OpenDatabase;

beforeAll(async () => {
  full = await openFolder();
  const store = storeOf(full.database, full.sync);
  await loadDemo(store);
  await fillWithPeople(store);
  const [id = ""] = await store.insertDeals([
    { ...numberedDeal(1), customer: named("Zoë 🚐 O’Hollow"), notes: 'Said "later"\nand \\x41 <b>more</b>' },
  ]);
  await store.updateDeal(id, 1, { options: numberedDeal(2).options });
  for (let k = 0; k < 9; k++) {
    const bytes = Uint8Array.from({ length: 70_000 }, (_, place) => (place * 7 + k) % 256);
    const sha256 = createHash("sha256").update(bytes).digest("hex");
    await store.keepGivenPaper({
      ...{ dealId: id, optionId: null, kind: "proposal", fileName: `Paper ${k}`, at: new Date(1e12 + k) },
      ...{ dealVersion: 2, coreVersion: "4", sha256, bytes },
    });
  }
  await store.insertDeals(Array.from({ length: 450 }, (_, k) => numberedDeal(k)));
  await store.stockArrives([
    { description: "Ostrel Quay", priceMinor: 1, costMinor: null, listPriceMinor: null, currency: "USD" },
  ]);
});
afterAll(async () => {
  for (const { close } of opened) await close();
  rmSync(scratch, { recursive: true });
});

test("every table is carried: a new one would be missed here first", async () => {
  const rows = await rowsOf(
    full.database,
    sql`select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
  );
  expect(TABLES.map(getTableName).sort()).toEqual(rows.map(({ name }) => name));
});

test("from one folder to another all rows come over, in parts, and are the same", async () => {
  const { database } = await openFolder();
  expect(await isEmpty(database)).toBe(true);
  const carried = await full.database.transaction(from => database.transaction(to => carry(from, to)));
  expect(carried).toMatchObject({ deals: 450 + 33, blobs: 9, papers: 9, jobs: 1, settings: 1 });
  expect(await isEmpty(database)).toBe(false);
});

test("a row that is not the same afterwards undoes all of it", async () => {
  const { database } = await openFolder();
  await database.execute(sql`create function other() returns trigger language plpgsql as
    $$ begin new.name = new.name || '.'; return new; end $$`);
  await database.execute(
    sql`create trigger other before insert on customers for each row when (new.name like 'Zo%') execute function other()`,
  );
  await expect(
    full.database.transaction(from => database.transaction(to => carry(from, to))),
  ).rejects.toThrow("A row of “customers” is not the same after it was carried over. Nothing was kept.");
  expect(await isEmpty(database)).toBe(true);
});

(TEST_SERVER ? describe : describe.skip)("a server", () => {
  test("takes all of a folder, once, and gives it back as it was", async () => {
    const { url, drop } = await newServerDatabase(TEST_SERVER ?? "");
    const toServer = () => full.database.transaction(from => carryToServer(from, url));
    const carried = await toServer();
    await expect(toServer()).rejects.toThrow(/is not empty; it was left as it is/);
    const { store, close } = openStoreOnServer(url);
    expect((await store.dealsAfter(null, 1000)).records).toHaveLength(450 + 33);
    const { database } = await openFolder();
    await expect(carryFromServer(url, database)).rejects.toThrow(
      /is at work on .*: stop its processes first/,
    );
    await close();
    // Another user's connection is none of ours.
    const client = new pg.Client(url);
    await client.connect();
    expect(await carryFromServer(url, database)).toEqual(carried);
    await client.end();
    const all = async (of: OpenDatabase["database"]) => {
      const rows: unknown[] = [];
      for (const table of TABLES)
        rows.push(...(await rowsOf(of, sql`select row_to_json(r)::text as row from ${table} r order by 1`)));
      return rows;
    };
    expect(await all(database)).toEqual(await all(full.database));
    await readyServer(url);
    await drop();
  });
});
