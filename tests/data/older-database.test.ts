import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { PGlite } from "@electric-sql/pglite";
import { drizzle } from "drizzle-orm/pglite";
import { migrate } from "drizzle-orm/pglite/migrator";
import { getDeal, updateDeal } from "@/data/deals";
import { openDatabase } from "@/data/embedded/open-folder";
import { upToDate } from "@/exchange/deal-document";

const DEAL = "aaaaaaaa-0000-4000-8000-000000000001";
const OPTION = "bbbbbbbb-0000-4000-8000-000000000001";
const inputs = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "1000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12 },
  find: "payment",
} as const;
const IDA = { id: "cccccccc-0000-4000-8000-000000000001", name: "Ida Farrow" };
const heading = { customer: IDA, status: "quoting" } as const;

/** A data folder as it was before deals had options: its one set of inputs was saved six times. */
async function olderFolder(): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), "kellux-older-"));
  const migrations = join(folder, "migrations");
  mkdirSync(join(migrations, "meta"), { recursive: true });
  cpSync("src/data/migrations/0000_first.sql", join(migrations, "0000_first.sql"));
  const journal = JSON.parse(readFileSync("src/data/migrations/meta/_journal.json", "utf8"));
  const first = { ...journal, entries: journal.entries.slice(0, 1) };
  writeFileSync(join(migrations, "meta/_journal.json"), JSON.stringify(first));
  const client = await PGlite.create(join(folder, "database"));
  await migrate(drizzle(client), { migrationsFolder: migrations });
  await client.exec(`
    insert into customers (id, name) values ('cccccccc-0000-4000-8000-000000000001', 'Ida Farrow');
    insert into deals (id, customer_id) values ('${DEAL}', 'cccccccc-0000-4000-8000-000000000001');
    insert into options (id, deal_id, inputs, version) values ('${OPTION}', '${DEAL}', '${JSON.stringify(inputs)}', 7);
  `);
  await client.close();
  return folder;
}

test("a data folder from before options opens with every deal whole, its option under its own id", async () => {
  const folder = await olderFolder();
  const { database, close } = await openDatabase(folder);
  expect(await getDeal(database, DEAL)).toMatchObject({
    version: 7,
    document: { ...heading, chosen: OPTION, options: [{ id: OPTION, name: "", inputs }] },
  });
  // A save from the version before is late, one from the newest counts.
  const change = { heading: { ...heading, customer: { ...IDA, name: "Ida Farrow-Marsh" } } };
  expect(await updateDeal(database, DEAL, 6, change)).toBeUndefined();
  expect(await updateDeal(database, DEAL, 7, change)).toBeDefined();
  await close();
  rmSync(folder, { recursive: true });
});

test("an older document, wherever it was kept, is brought up to date; what is none is left to the checks", () => {
  const today = { ...heading, chosen: OPTION, options: [{ id: OPTION, name: "", inputs }] };
  expect(upToDate({ ...heading, inputs }, OPTION)).toEqual(today);
  const { customer: _, ...unnamed } = today;
  expect(upToDate(inputs, OPTION)).toEqual(unnamed);
  // Before customers and vehicles had ids, their names stood in their place.
  expect(upToDate({ ...today, customer: "Ida Farrow", vehicle: "" }, OPTION)).toEqual({
    ...today,
    customer: { id: expect.stringMatching(/^0{8}-/), name: "Ida Farrow" },
  });
  expect(upToDate(today, "another")).toBe(today);
  for (const none of [null, 7, "deal", [], { customer: "x" }]) expect(upToDate(none, OPTION)).toBe(none);
});
