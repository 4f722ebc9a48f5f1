import { createHash } from "node:crypto";
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Readable } from "node:stream";
import { gunzipSync, gzipSync } from "node:zlib";
import { sql } from "drizzle-orm";
import { DEMO_DEALS } from "#demo/scenario";
import { DEMO_SETTINGS } from "#demo/settings";
import { openDatabase, openRestored } from "@/data/embedded/open-folder";
import { restoreIntoEmpty } from "@/data/embedded/restore";
import { storeOf } from "@/data/embedded/store-here";
import type { Snapshot } from "@/data/open-store";
import { blobs, papers } from "@/data/schema";
import {
  backupBytes,
  dropOldCopies,
  isCopyDue,
  keepDailyCopy,
  listCopies,
  wholeCopy,
  writeBackup,
} from "@/server/backups";
import { loadDemo } from "@/server/demo";
import { lookAtKept } from "@/server/kept-rows";
import { asItStands } from "../data/as-it-stands";
import { fillWithPeople } from "../data/house-of-people";
import { numberedDeal } from "../data/numbered-deal";
import { testDatabase } from "../data/test-database";
import { copyFreshData } from "../fresh-data.mjs";
import { named } from "../named";

const data = testDatabase();
/** As it was kept before it was a record. */
const SIGNED = [
  JSON.parse(readFileSync("tests/exchange/signed-quote/before-records.ndjson", "utf8").split("\n")[0] ?? "")
    .kept,
];
const scratch = mkdtempSync(join(tmpdir(), "kellux backups "));
const backup = join(scratch, "backup.ndjson.gz");
afterAll(() => rmSync(scratch, { recursive: true }));
const ARRIVAL = "99999999-0000-4000-8000-000000000001";
let folders = 0;
const emptyFolder = () => join(scratch, `empty ${++folders}`);

beforeAll(async () => {
  await loadDemo(data.store);
  await fillWithPeople(data.store);
  const [id = ""] = await data.store.insertDeals([
    { ...numberedDeal(1), customer: named("Zoë 🚐 O’Hollow"), notes: 'Said "later"\nand <b>more</b>' },
  ]);
  await data.store.updateDeal(id, 1, { options: numberedDeal(2).options });
  await data.store.setDeleted((await data.store.insertDeals([numberedDeal(3)]))[0] ?? "", true);
  const bytes = new TextEncoder().encode("%PDF, as it was given");
  const sha256 = createHash("sha256").update(bytes).digest("hex");
  await data.database.insert(blobs).values({ sha256, bytes });
  await data.database.insert(papers).values({
    ...{ dealId: id, optionId: null, kind: "proposal", at: new Date("2027-01-08T09:00:00Z"), who: null },
    ...{ dealVersion: 2, coreVersion: "2", sha256 },
  });
  const signing = { at: new Date("2027-01-08T09:00:00Z"), coreVersion: "2", isLate: false, quotes: SIGNED };
  await data.store.insertDeals([{ ...numberedDeal(4), status: "signed", signing }]);
  // One whose arrival is complete, and not shown yet.
  await data.store.startArrival(ARRIVAL);
  await data.store.insertDeals([{ ...numberedDeal(5), arrival: ARRIVAL }]);
  const figures = { priceMinor: 100, costMinor: null, listPriceMinor: null, currency: "USD" };
  await data.store.stockArrives([{ description: "Ostrel Quay trailer, stock 9", ...figures }]);
  expect(await data.store.completeArrival(ARRIVAL, 2)).toBe(false);
  expect(await data.store.completeArrival(ARRIVAL, 1)).toBe(true);
  await writeBackup(await backupBytes(asItStands(data.store)), backup);
});

const linesOf = (path: string) => gunzipSync(readFileSync(path)).toString("utf8").trimEnd().split("\n");
const rowsOf = (path: string) => linesOf(path).slice(1, -1).sort();

/** A backup with other lines, packed again; with its end made to fit them where that is asked for. */
function changed(change: (lines: string[]) => string[], isResealed = false): string {
  const lines = change(linesOf(backup));
  if (isResealed) {
    const rows = lines.slice(0, -1);
    const sha256 = createHash("sha256")
      .update(rows.map(line => `${line}\n`).join(""))
      .digest("hex");
    lines.splice(-1, 1, JSON.stringify({ ...JSON.parse(lines.at(-1) ?? ""), rows: rows.length - 1, sha256 }));
  }
  const path = join(scratch, "changed.ndjson.gz");
  writeFileSync(path, gzipSync(lines.map(line => `${line}\n`).join("")));
  return path;
}

test("a backup holds every row, and a folder that it is restored into holds the same", async () => {
  const folder = emptyFolder();
  const facts = await restoreIntoEmpty(folder, backup, lookAtKept);
  expect(facts.deals).toBe(DEMO_DEALS.length + 4);
  const { database, sync, close } = await openDatabase(folder);
  const store = storeOf(database, sync);
  expect((await store.getSettings())?.settings).toEqual(DEMO_SETTINGS);
  const again = join(scratch, "again.ndjson.gz");
  await writeBackup(await backupBytes(asItStands(store)), again);
  await close();
  expect(rowsOf(again)).toEqual(rowsOf(backup));
});

test("every table there is has its rows in it: a new one would be missed here first", async () => {
  const { rows } = (await data.database.execute(
    sql`select table_name as name from information_schema.tables where table_schema = 'public'`,
  )) as unknown as { rows: { name: string }[] };
  const inBackup = new Set(rowsOf(backup).map(line => JSON.parse(line).table));
  // What deals earn is made again where it is asked for. Whoever has a backup is signed in nowhere by it.
  const leftOut = ["deal_income", "sign_ins", "verifications", "failed_sign_ins"];
  const kept = rows.map(({ name }) => name).filter(name => !leftOut.includes(name));
  expect([...inBackup].sort()).toEqual(kept.sort());
});

test("a backup is of the version of its rows: one from before a migration is brought up to date", async () => {
  // Before version 13 deals had no notes, before 19 no parts, before 22 no jobs and no papers, before 25 no rates.
  const older = changed(
    ([head = "", ...lines]) => [
      JSON.stringify({ ...JSON.parse(head), migrations: 12 }),
      ...lines
        .filter(
          line =>
            !/^\{"table":"(jobs|blobs|papers|deal_parts|lenders|people|credentials|second_factors|house_secrets|doings|deal_people|releases)"/.test(
              line,
            ),
        )
        .map(line => line.replace(/,"notes":(null|"(\\.|[^"\\])*")/, ""))
        .map(line => line.replace(/,"owner_id":(null|"[^"]*"),"branch":(null|"[^"]*")/, "")),
    ],
    true,
  );
  const folder = emptyFolder();
  expect((await restoreIntoEmpty(folder, older, lookAtKept)).deals).toBe(DEMO_DEALS.length + 4);
});

const HARMS: [what: string, file: () => string, sentence: RegExp][] = [
  ["is cut off", () => cut(0.5), /not whole/],
  ["lacks its last bytes", () => cut(0.999), /not whole/],
  ["lacks its end", () => changed(lines => lines.slice(0, -1)), /not whole/],
  ["lacks a row", () => changed(lines => lines.toSpliced(5, 1)), /not whole/],
  [
    "has a changed digit",
    () => changed(lines => lines.map(line => line.replace("6.49", "6.48"))),
    /not whole/,
  ],
  ["goes on after its end", () => changed(lines => [...lines, lines[1] ?? ""]), /not whole/],
  ["is empty", () => file("empty.gz", gzipSync("")), /no backup/],
  ["is not packed", () => file("plain.gz", Buffer.from("{}")), /no backup/],
  ["is another file", () => file("other.gz", gzipSync('{"format":"kellux-deal"}\n')), /no backup/],
  ["is of a newer version", () => withHead({ version: 2 }), /version 2/],
  ["is of a newer Kellux", () => withHead({ migrations: 99 }), /newer Kellux/],
  [
    "holds another table",
    () => changed(lines => lines.toSpliced(1, 0, '{"table":"pg_authid","row":{}}'), true),
    /does not know/,
  ],
  [
    "holds a deal that is none",
    () => changed(lines => lines.map(line => line.replace('"find":"payment"', '"find":"luck"')), true),
    /cannot be read/,
  ],
  [
    "holds settings that are none",
    () => withRows("settings", row => ({ ...row, file: {} })),
    /The settings cannot be read: .*Nothing was restored/,
  ],
  [
    "holds a vehicle of no currency",
    () => withRows("vehicles", row => ({ ...row, currency: "QQQ" })),
    /A vehicle in stock cannot be read: The currency QQQ is not known/,
  ],
  [
    "holds a program without rates",
    () =>
      withRows("lenders", row => ({ ...row, programs: [{ name: "New", kind: "loan", currency: "USD" }] })),
    /What lenders offer cannot be read: .*rates is missing/,
  ],
  [
    "holds a signing without quotes",
    () => withRows("signings", row => ({ ...row, quotes: [{ optionId: "x" }] })),
    /cannot be read: what it was signed with: .* must be what was signed/,
  ],
  [
    "holds a signing that lacks a figure",
    () => {
      const { loanAmount: _, ...quote } = SIGNED[0].quote;
      return withRows("signings", row => ({ ...row, quotes: [{ ...SIGNED[0], quote }] }));
    },
    /cannot be read: what it was signed with: figures.loanAmount is/,
  ],
  [
    "holds a history that leads nowhere",
    () =>
      withRows("deal_changes", row => ({
        ...row,
        back: row.number === 1 ? null : [["/options/9/inputs/x/y", 1]],
      })),
    /cannot be read: its history does not lead back/,
  ],
  [
    "holds a name of two lines",
    () => withRows("customers", row => ({ ...row, name: `${row.name}\n2` })),
    /A deal of [\s\S]* cannot be read/,
  ],
  [
    "holds a paper of other bytes",
    () => withRows("blobs", row => ({ ...row, bytes: `${row.bytes}00` })),
    /A paper is not what was made/,
  ],
  [
    "holds half of a row",
    () => changed(lines => lines.map((line, k) => (k === 3 ? line.slice(0, -4) : line)), true),
    /cannot be kept/,
  ],
];

function file(name: string, bytes: Uint8Array): string {
  const path = join(scratch, name);
  writeFileSync(path, bytes);
  return path;
}

const cut = (part: number) => {
  const bytes = readFileSync(backup);
  return file("cut.gz", bytes.subarray(0, Math.floor(bytes.length * part)));
};
const withHead = (change: object) =>
  changed(([head = "", ...lines]) => [JSON.stringify({ ...JSON.parse(head), ...change }), ...lines], true);

/** The backup with each row of a table changed. */
const withRows = (table: string, change: (row: Record<string, unknown>) => unknown) =>
  changed(
    lines =>
      lines.map(line =>
        line.startsWith(`{"table":"${table}"`)
          ? JSON.stringify({ table, row: change(JSON.parse(line).row) })
          : line,
      ),
    true,
  );

test.each(HARMS)(
  "a backup that %s is refused in a sentence, and nothing of it is restored",
  async (_, path, sentence) => {
    const folder = emptyFolder();
    await expect(restoreIntoEmpty(folder, path(), lookAtKept)).rejects.toThrow(sentence);
    expect(readdirSync(folder)).toEqual([]);
  },
);

test("a backup is not restored into a folder that holds anything", async () => {
  await expect(restoreIntoEmpty(scratch, backup, lookAtKept)).rejects.toThrow("is not empty");
});

test("a backup that cannot be written whole is not there at all", async () => {
  const path = join(scratch, "failing.ndjson.gz");
  const failing = Readable.from(
    (async function* () {
      yield "begun";
      throw new Error("the database is away");
    })(),
  );
  await expect(writeBackup(failing, path)).rejects.toThrow("the database is away");
  expect(readdirSync(scratch).filter(name => name.startsWith("failing"))).toEqual([]);
});

test("a backup holds what was kept at one moment, whatever others save while it is made", async () => {
  const folder = emptyFolder();
  copyFreshData(folder);
  const { database, sync, copyTo, close } = await openDatabase(folder);
  const store = storeOf(database, sync);
  // So many that copying and reading take a while; two of them are always saved one after the other.
  const ids = await store.insertDeals(Array.from({ length: 300 }, () => numberedDeal(1)));
  const [one = "", other = ""] = [ids[0], ids.at(-1)];
  let [isOver, saves] = [false, 1];
  const saving = (async () => {
    for (; !isOver; saves++)
      for (const id of [one, other])
        await store.updateDeal(id, saves, { options: numberedDeal(saves + 1).options });
  })();
  const places: string[] = [];
  const take = async (): Promise<Snapshot> => {
    const place = `database.snapshot.${places.length + 1}`;
    places.push(place);
    await copyTo(join(folder, place));
    const copy = await openRestored(folder, place);
    return { store: storeOf(copy.database, copy.sync), end: copy.close };
  };
  const seen: number[] = [];
  for (let copies = 0; copies < 3; copies++) {
    const { store: copy, end } = await take();
    const [first = 0, second = 0] = [
      (await copy.versionOf(one))?.version,
      (await copy.versionOf(other))?.version,
    ];
    expect([first, first - 1]).toContain(second);
    seen.push(first);
    await end();
  }
  const path = join(scratch, "while.ndjson.gz");
  const before = saves;
  await writeBackup(await backupBytes(take), path);
  expect(saves).toBeGreaterThan(before);
  isOver = true;
  await saving;
  await close();
  expect(new Set(seen).size).toBe(3);
  const versions = rowsOf(path)
    .map(line => JSON.parse(line))
    .filter(({ table, row }) => table === "deals" && [one, other].includes(row.id))
    .map(({ row }) => row.version);
  expect(Math.abs(versions[0] - versions[1])).toBeLessThanOrEqual(1);
  // What a stop would leave of one is cleared away.
  mkdirSync(join(folder, "database.snapshot.77"));
  await (await openDatabase(folder)).close();
  expect(readdirSync(folder).filter(name => name.includes("snapshot"))).toEqual([]);
});

test("a copy a day is made by itself where there is a deal, and kept for 14 days", async () => {
  const folder = emptyFolder();
  mkdirSync(folder);
  const at = (day: number) => new Date(Date.UTC(2027, 2, day, 9));
  for (const day of [1, 1, 2, 10, 16]) {
    await keepDailyCopy({ store: data.store, snapshot: asItStands(data.store) }, folder, at(day));
  }
  expect(listCopies(folder).map(({ name }) => name)).toEqual([
    "kellux-2027-03-16.ndjson.gz",
    "kellux-2027-03-10.ndjson.gz",
    "kellux-2027-03-02.ndjson.gz",
  ]);
  // The newest is never dropped, however old it is.
  dropOldCopies(folder, at(400));
  expect(listCopies(folder)).toHaveLength(1);
  expect(isCopyDue(listCopies(folder), at(16))).toBe(false);
  expect(isCopyDue(listCopies(folder), at(17))).toBe(true);
});

describe("papers in the copies of each day", () => {
  const paperOf = async (folder: string) => {
    const { database, close } = await openDatabase(folder);
    const [kept] = await database.select().from(blobs);
    await close();
    return new TextDecoder().decode(kept?.bytes);
  };

  test("stand once beside them, and come back with each, alone or as it is downloaded", async () => {
    const folder = emptyFolder();
    mkdirSync(folder);
    const day = new Date(Date.UTC(2027, 4, 1, 9));
    await keepDailyCopy({ store: data.store, snapshot: asItStands(data.store) }, folder, day);
    await keepDailyCopy(
      { store: data.store, snapshot: asItStands(data.store) },
      folder,
      new Date(Date.UTC(2027, 4, 2, 9)),
    );
    const [newest, oldest] = listCopies(folder).map(({ name }) => join(folder, "backups", name));
    expect(readdirSync(join(folder, "backups", "blobs"))).toHaveLength(1);
    for (const copy of [newest, oldest])
      expect(rowsOf(copy ?? "").find(line => line.includes('"table":"blobs"'))).toContain('"bytes":null');
    const restored = emptyFolder();
    await restoreIntoEmpty(restored, oldest ?? "", lookAtKept);
    expect(await paperOf(restored)).toBe("%PDF, as it was given");
    // Downloaded, it stands for itself.
    const alone = join(scratch, "downloaded.ndjson.gz");
    await writeBackup(wholeCopy(newest ?? ""), alone);
    const inside = rowsOf(alone).find(line => line.includes('"table":"blobs"')) ?? "";
    expect(Buffer.from(JSON.parse(inside).row.bytes.slice(2), "hex").toString()).toBe(
      "%PDF, as it was given",
    );
    // Carried off by itself, the copy lacks its papers, and says so.
    const carried = join(scratch, "carried.ndjson.gz");
    writeFileSync(carried, readFileSync(newest ?? ""));
    await expect(restoreIntoEmpty(emptyFolder(), carried, lookAtKept)).rejects.toThrow(
      /not in the folder “blobs”/,
    );
  });

  test("that only dropped copies had go with them", async () => {
    const folder = emptyFolder();
    mkdirSync(folder);
    await keepDailyCopy(
      { store: data.store, snapshot: asItStands(data.store) },
      folder,
      new Date(Date.UTC(2027, 4, 1, 9)),
    );
    const stray = join(folder, "backups", "blobs", "0".repeat(64));
    writeFileSync(stray, "of a copy that is gone");
    utimesSync(stray, new Date("2027-04-01"), new Date("2027-04-01"));
    await keepDailyCopy(
      { store: data.store, snapshot: asItStands(data.store) },
      folder,
      new Date(Date.UTC(2027, 4, 20, 9)),
    );
    expect(readdirSync(join(folder, "backups", "blobs"))).not.toContain("0".repeat(64));
    expect(readdirSync(join(folder, "backups", "blobs"))).toHaveLength(1);
  });
});
