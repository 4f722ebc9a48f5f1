import {
  chmodSync,
  cpSync,
  existsSync,
  lstatSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { sql } from "drizzle-orm";
import { openDatabase } from "@/data/embedded/open-folder";
import { freePlace, takePlace } from "@/data/embedded/state";
import { storeOf } from "@/data/embedded/store-here";
import { FolderRefused } from "@/data/folder/refused";
import { nameOf } from "@/exchange/deal-document";
import { copyFreshData } from "../fresh-data.mjs";
import { numberedDeal } from "./numbered-deal";

const scratch = mkdtempSync(join(tmpdir(), "kellux folder "));
const whole = join(scratch, "whole");
afterAll(() => rmSync(scratch, { recursive: true }));

beforeAll(async () => {
  copyFreshData(whole);
  const { database, sync, close } = await openDatabase(whole);
  await storeOf(database, sync).insertDeals([numberedDeal(1)]);
  await close();
});

let copies = 0;
/** A copy of a folder with one deal, in which something is wrong. */
function folderWith(harm: (folder: string) => void): string {
  const folder = join(scratch, `copy ${++copies}`);
  cpSync(whole, folder, { recursive: true });
  // Which later versions of Node do not copy.
  chmodSync(folder, 0o700);
  harm(folder);
  return folder;
}

/** Every file of a folder with its size: what a refusal must leave as it is. */
const contents = (folder: string) =>
  readdirSync(folder, { recursive: true })
    .map(name => {
      const stats = lstatSync(join(folder, String(name)));
      return [name, stats.isFile() ? stats.size : "folder"];
    })
    .sort();

async function customersOf(folder: string): Promise<string[]> {
  const { database, sync, close } = await openDatabase(folder);
  const { records } = await storeOf(database, sync).dealsAfter(null, 100);
  await close();
  return records.map(({ document }) => nameOf(document.customer));
}

/** The files and folders that there are, and those of them that others may look into. */
function openToOthers(folder: string) {
  const modes = readdirSync(folder, { recursive: true }).map(name => {
    const { mode } = lstatSync(join(folder, String(name)));
    return [name, mode & 0o077];
  });
  return { all: modes.length, open: modes.filter(([, others]) => others !== 0) };
}

test("it is kept from other users: folders 0700 and files 0600, also where they were open before", async () => {
  const open = folderWith(folder => {
    chmodSync(join(folder, "database"), 0o755);
    for (const name of ["PG_VERSION", "postgresql.auto.conf", "base/1/PG_VERSION"])
      chmodSync(join(folder, "database", name), 0o666);
  });
  await customersOf(open);
  expect(openToOthers(open).open).toEqual([]);
  expect(lstatSync(open).mode & 0o777).toBe(0o700);
});

const HARMS: [what: string, harm: (folder: string) => void, sentence: RegExp][] = [
  ["lacks PG_VERSION", folder => rmSync(join(folder, "database/PG_VERSION")), /PG_VERSION is not there/],
  [
    "lacks its control file",
    folder => rmSync(join(folder, "database/global/pg_control")),
    /pg_control is not there/,
  ],
  [
    "has half a control file",
    folder => truncateSync(join(folder, "database/global/pg_control"), 100),
    /damaged/,
  ],
  [
    "lacks its log",
    folder => rmSync(join(folder, "database/pg_wal"), { recursive: true }),
    /pg_wal is not there/,
  ],
  ["has an empty log", folder => emptied(join(folder, "database/pg_wal")), /damaged \(could not locate/],
  [
    "lacks its tables",
    folder => rmSync(join(folder, "database/base/5"), { recursive: true }),
    /base\/5 is not there/,
  ],
  [
    "is of another PostgreSQL",
    folder => writeFileSync(join(folder, "database/PG_VERSION"), "17\n"),
    /version 17/,
  ],
  [
    "has lost its database",
    folder => rmSync(join(folder, "database"), { recursive: true }),
    /has lost its database/,
  ],
  [
    "has a folder in the place of in-use.json",
    folder => mkdirSync(join(folder, "in-use.json")),
    /in-use\.json is a folder/,
  ],
];

function emptied(folder: string): void {
  for (const name of readdirSync(folder)) if (/^0/.test(name)) rmSync(join(folder, name));
}

test.each(HARMS)(
  "a folder that %s is refused in a sentence, and nothing is put in its place",
  async (_, harm, sentence) => {
    const folder = folderWith(harm);
    const before = contents(folder);
    const refused = await openDatabase(folder).catch((error: Error) => error);
    expect(refused).toBeInstanceOf(FolderRefused);
    const { message } = refused as FolderRefused;
    expect(message).toMatch(sentence);
    expect(message).toMatch(/^.{20,400}\.$/);
    // The files of the database itself; the system may have written of its own start beside them.
    expect(contents(folder).filter(([name]) => !/postmaster|in-use/.test(String(name)))).toEqual(
      before.filter(([name]) => !/postmaster|in-use/.test(String(name))),
    );
  },
);

test("a folder that a newer Kellux has kept is refused, and opens there as before", async () => {
  const folder = folderWith(() => {});
  const { database, close } = await openDatabase(folder);
  await database.execute(
    sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('newer', 99999999999999)`,
  );
  await close();
  await expect(openDatabase(folder)).rejects.toThrow(/kept by a newer Kellux/);
});

test("a file in the place of a folder, and a folder that cannot be written, are refused", async () => {
  const file = join(scratch, "a file");
  writeFileSync(file, "");
  await expect(openDatabase(file)).rejects.toThrow(/is a file, not a folder/);
  await expect(openDatabase(join(file, "below"))).rejects.toThrow(/is a file and not a folder/);
  const closed = join(scratch, "closed");
  mkdirSync(closed, { mode: 0o500 });
  // The root of a machine may write anywhere.
  if (process.getuid?.() !== 0) await expect(openDatabase(closed)).rejects.toThrow(/may not write to it/);
});

test("a first start that was cut off begins anew, kept from other users; a folder of before without a mark is whole", async () => {
  const cutOff = folderWith(folder => {
    writeFileSync(join(folder, "database.json"), '{"database":"making"}');
    rmSync(join(folder, "database/PG_VERSION"));
  });
  expect(await customersOf(cutOff)).toEqual([]);
  // What it makes is kept from other users.
  const made = openToOthers(cutOff);
  expect(made.open).toEqual([]);
  expect(made.all).toBeGreaterThan(900);
  const older = folderWith(folder => rmSync(join(folder, "database.json")));
  expect(await customersOf(older)).toEqual(["Customer 1"]);
  expect(readFileSync(join(older, "database.json"), "utf8")).toContain("whole");
});

test("a replacement that was cut off anywhere leaves one of the two databases, whole", async () => {
  const other = join(scratch, "other");
  copyFreshData(other);
  const { database, sync, close } = await openDatabase(other);
  await storeOf(database, sync).insertDeals([numberedDeal(2)]);
  await close();
  const replacing = (step: (folder: string) => void) =>
    folderWith(folder => {
      cpSync(join(other, "database"), join(folder, "database.1"), { recursive: true });
      step(folder);
    });
  const [asked, done, notAsked] = [
    replacing(folder => takePlace(folder, "database.1")),
    replacing(folder => {
      takePlace(folder, "database.1");
      rmSync(join(folder, "database"), { recursive: true });
    }),
    replacing(() => {}),
  ];
  for (const folder of [asked, done]) {
    expect(await customersOf(folder)).toEqual(["Customer 2"]);
    expect(existsSync(join(folder, "database"))).toBe(false);
    expect(await customersOf(folder)).toEqual(["Customer 2"]);
    expect(freePlace(folder)).toBe("database");
  }
  expect(await customersOf(notAsked)).toEqual(["Customer 1"]);
  expect(existsSync(join(notAsked, "database.1"))).toBe(false);
  // Where it is not said any more which of them it is, none is made new, and none goes.
  const unsaid = replacing(folder => {
    takePlace(folder, "database.1");
    rmSync(join(folder, "database"), { recursive: true });
    rmSync(join(folder, "database.json"));
  });
  await expect(openDatabase(unsaid)).rejects.toThrow(/has lost its database/);
  expect(existsSync(join(unsaid, "database.1"))).toBe(true);
});

test("the database's log is shortened while it is open, by whoever saves", async () => {
  const folder = folderWith(() => {});
  const { database, sync, checkpoint, close } = await openDatabase(folder);
  const store = storeOf(database, sync, checkpoint);
  const megabytes = () => {
    const log = join(folder, "database/pg_wal");
    return readdirSync(log).reduce((sum, name) => sum + lstatSync(join(log, name)).size, 0) / 1e6;
  };
  const save = async (times: number) => {
    for (let k = 0; k < times; k++) await store.stockArrives([]);
  };
  await save(40);
  // As much as some thousand deals leave.
  for (let k = 0; k < 20; k++)
    await database.execute(
      sql`insert into jobs (kind, key, payload) select 'putInStock', gen_random_uuid()::text, to_json((select string_agg(md5(k::text || j::text), '') from generate_series(1, 250) j)) from generate_series(1, 1500) k`,
    );
  expect(megabytes()).toBeGreaterThan(150);
  await save(40);
  await close();
  expect(megabytes()).toBeLessThan(100);
});
