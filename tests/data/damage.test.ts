import {
  closeSync,
  cpSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
  writeSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { type LastStop, lastStop } from "@/data/embedded/last-stop";
import { openDatabase } from "@/data/embedded/open-folder";
import { storeOf } from "@/data/embedded/store-here";
import { loadDemo } from "@/server/demo";
import { damageFound, damageSentence, lookAtAll } from "@/server/whole";
import { copyFreshData } from "../fresh-data.mjs";
import { numberedDeal } from "./numbered-deal";

const scratch = mkdtempSync(join(tmpdir(), "kellux damage "));
const whole = join(scratch, "whole");
const COPY = "kellux-2027-01-08.ndjson.gz";
afterAll(() => rmSync(scratch, { recursive: true }));

/** Where each table is, from the folder of the database. */
const files: Record<string, string> = {};

beforeAll(async () => {
  copyFreshData(whole);
  const { database, sync, close } = await openDatabase(whole);
  const store = storeOf(database, sync);
  await loadDemo(store);
  const [id = ""] = await store.insertDeals([numberedDeal(1)]);
  await store.updateDeal(id, 1, { options: numberedDeal(2).options });
  for (const table of await store.tableNames()) {
    const { rows } = (await database.execute(
      sql`select pg_relation_filepath(${table}::regclass) as path`,
    )) as unknown as {
      rows: { path: string }[];
    };
    files[table] = rows[0]?.path ?? "";
  }
  await close();
  mkdirSync(join(whole, "backups"));
  writeFileSync(join(whole, "backups", COPY), "");
}, 60_000);

let copies = 0;
function folderWith(harm: (folder: string) => void): string {
  const folder = join(scratch, `copy ${++copies}`);
  cpSync(whole, folder, { recursive: true });
  harm(folder);
  return folder;
}

/** Why a folder is not opened; undefined where it is. */
async function refusal(folder: string): Promise<string | undefined> {
  try {
    await (await openDatabase(folder)).close();
    return undefined;
  } catch (error) {
    return `${(error as Error).constructor.name}: ${(error as Error).message}`;
  }
}

/** What a look at all that is kept finds. */
async function found(folder: string, noted: LastStop | undefined): Promise<string | undefined> {
  const shared = globalThis as { kelluxDamage?: string };
  delete shared.kelluxDamage;
  const said = jest.spyOn(console, "error").mockImplementation(() => {});
  const { database, sync, close } = await openDatabase(folder);
  await lookAtAll(storeOf(database, sync), folder, noted);
  await close();
  said.mockRestore();
  return damageFound();
}

const WAY_BACK = new RegExp(
  `Nothing was changed\\. Bring the folder back as it was, or restore its newest copy .*${COPY}`,
);

test("what is whole opens again and again, and a look at all of it finds nothing", async () => {
  const folder = folderWith(() => {});
  expect(await refusal(folder)).toBeUndefined();
  const noted = lastStop(folder);
  expect(noted?.tables.deals?.rows).toBe(noted?.deals);
  expect(await found(folder, noted)).toBeUndefined();
});

test("an emptied folder, and a database that has lost its transactions, are refused with the way to the newest copy", async () => {
  const emptied = folderWith(folder => {
    for (const name of readdirSync(join(folder, "database")))
      rmSync(join(folder, "database", name), { recursive: true });
  });
  expect(await refusal(emptied)).toMatch(
    /^FolderRefused: .* has lost its database: the folder .* is empty\..*newest copy/,
  );
  const zeroed = folderWith(folder => {
    const path = join(folder, "database/pg_xact/0000");
    writeFileSync(path, Buffer.alloc(statSync(path).size));
  });
  expect(await refusal(zeroed)).toMatch(
    /^FolderRefused: .* is damaged \(it has forgotten which of its transactions were done\)/,
  );
  expect(await refusal(zeroed)).toMatch(WAY_BACK);
});

const NAMES = [
  "customers",
  "deal_changes",
  "deals",
  "options",
  "register_lines",
  "settings",
  "vehicles",
] as const;

test.each(NAMES)("a table that is emptied, or has a byte changed, is refused: %s", async table => {
  const path = (folder: string) => join(folder, "database", files[table] ?? "");
  const emptied = folderWith(folder => truncateSync(path(folder)));
  expect(await refusal(emptied)).toMatch(
    new RegExp(`^FolderRefused: .*0 rows of “${table}” are there, and \\d+ were kept`),
  );
  const flipped = folderWith(folder => {
    const file = openSync(path(folder), "r+");
    const [at] = [statSync(path(folder)).size - 60];
    const byte = readFileSync(path(folder))[at] ?? 0;
    writeSync(file, Buffer.of(byte ^ 0x40), 0, 1, at);
    closeSync(file);
  });
  expect(await refusal(flipped)).toMatch(/^FolderRefused: .*is damaged \(.*invalid page/);
  expect(await refusal(flipped)).toMatch(WAY_BACK);
});

test("a table of an earlier state is found when all is looked at, as long as nothing was written since", async () => {
  const earlier = readFileSync(join(whole, "database", files.options ?? ""));
  const folder = folderWith(() => {});
  const { database, sync, close } = await openDatabase(folder);
  const store = storeOf(database, sync);
  // In its place, so that as many rows are there as before.
  await database.execute(sql`update vehicles set price_minor = price_minor + 1`);
  const written = lastStop(folder);
  await lookAtAll(store, folder, written);
  expect(damageFound()).toBeUndefined();
  await database.execute(sql`update options set name = 'Changed'`);
  await database.execute(sql`delete from options where name <> 'Changed'`);
  await close();
  const noted = lastStop(folder);
  writeFileSync(join(folder, "database", files.options ?? ""), earlier);
  expect(await found(folder, noted)).toMatch(
    /^What is kept in .* is damaged: “options” is not as it was at the last stop\. .*newest copy/,
  );
});

test("after a kill, too, deals that are missing are noticed", async () => {
  const folder = folderWith(copy => {
    const noted = lastStop(copy) as LastStop;
    writeFileSync(
      join(copy, "last-stop.json"),
      JSON.stringify({ ...noted, nextTransaction: "7", deals: noted.deals + 1 }),
    );
  });
  expect(await refusal(folder)).toMatch(/rows of “deals” are there, and \d+ were kept/);
});

test("what cannot be read while the app runs is said in a sentence, without the database's own words", async () => {
  const error = Object.assign(new Error("Failed query: select"), {
    cause: Object.assign(new Error("invalid page in block 3"), { code: "XX001" }),
  });
  expect(damageSentence(error, whole)).toMatch(/^What was asked for cannot be read: .*newest copy/);
  expect(damageSentence(new Error("anything else"), whole)).toBeUndefined();
});
