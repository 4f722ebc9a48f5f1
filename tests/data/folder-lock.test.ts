import { spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { lockFolder } from "@/data/embedded/lock";
import { FolderInUse } from "@/data/folder/refused";
import { saverProgram } from "./saver-program";

const PROGRAM = saverProgram();
const folder = mkdtempSync(join(tmpdir(), "kellux-lock-"));
afterAll(() => rmSync(folder, { recursive: true }));
const path = join(folder, "in-use.json");
const claimed = () => JSON.parse(readFileSync(path, "utf8"));

test("a second claim is refused with a sentence that names the holder, and gives the folder back unharmed", () => {
  const unlock = lockFolder(folder);
  expect(() => lockFolder(folder)).toThrow(FolderInUse);
  expect(() => lockFolder(folder)).toThrow(`in use by another Kellux (process ${process.pid})`);
  expect(readdirSync(folder)).toEqual(["in-use.json"]);
  unlock();
  lockFolder(folder)();
  expect(readdirSync(folder)).toEqual([]);
});

test("a folder that was given back stays somebody else's, however often it is given back", () => {
  const unlock = lockFolder(folder);
  unlock();
  const another = JSON.stringify({ pid: 1, started: "another" });
  writeFileSync(path, another);
  unlock();
  expect(readFileSync(path, "utf8")).toBe(another);
  rmSync(path);
});

/** The folder is this process's then, is refused to others, and is free once it is given back. */
function expectTakenOver(): void {
  const before = readFileSync(path, "utf8");
  const unlock = lockFolder(folder);
  expect(readFileSync(path, "utf8")).not.toBe(before);
  expect(claimed().pid).toBe(process.pid);
  expect(() => lockFolder(folder)).toThrow(FolderInUse);
  unlock();
  expect(readdirSync(folder)).toEqual([]);
}

test("a claim stands while its process runs, and is taken over once that was killed", async () => {
  const own = mkdtempSync(join(tmpdir(), "kellux-lock-held-"));
  const child = spawn(process.execPath, [PROGRAM, own]);
  // It says so once it has the folder open.
  await once(child.stdout, "data");
  const claim = readFileSync(join(own, "in-use.json"), "utf8");
  writeFileSync(path, claim);
  expect(claimed().pid).toBe(child.pid);
  expect(() => lockFolder(folder)).toThrow(`in use by another Kellux (process ${child.pid})`);
  expect(readFileSync(path, "utf8")).toBe(claim);
  child.kill("SIGKILL");
  await once(child, "exit");
  rmSync(own, { recursive: true });
  expectTakenOver();
});

test("a claim whose process number now belongs to another process is taken over", () => {
  claimedBy({ started: "long ago" });
  expectTakenOver();
});

/** A claim as this process would make it, but for what is said. */
function claimedBy(change: object): void {
  const unlock = lockFolder(folder);
  const claim = claimed();
  unlock();
  writeFileSync(path, JSON.stringify({ ...claim, ...change }));
}

test.each([
  ["another machine", { host: "a-desk-elsewhere" }],
  ["another container of this machine", { namespace: "pid:[4026599999]" }],
])("a claim of %s is not taken over, and the sentence says how it is", (_, change) => {
  claimedBy({ pid: 1, ...change });
  const claiming = () => lockFolder(folder);
  expect(claiming).toThrow(FolderInUse);
  expect(claiming).toThrow("whether it still runs cannot be seen from here");
  expect(claiming).toThrow(`delete ${path} and start again`);
  rmSync(path);
  lockFolder(folder)();
});

test("a claim from before this machine was started anew is taken over, whoever has that number now", () => {
  claimedBy({ boot: "11111111-2222-4333-8444-555555555555" });
  expectTakenOver();
});

test("a claim that cannot be read is taken over", () => {
  writeFileSync(path, "{");
  expectTakenOver();
});

test("a second process on the same folder stops with the sentence and leaves the data alone", async () => {
  const unlock = lockFolder(folder);
  const child = spawn(process.execPath, [PROGRAM, folder]);
  let said = "";
  child.stderr.on("data", chunk => {
    said += chunk;
  });
  const [code] = await once(child, "exit");
  expect(code).not.toBe(0);
  expect(said).toContain(`The data folder ${folder} is in use by another Kellux (process ${process.pid})`);
  expect(readdirSync(folder)).toEqual(["in-use.json"]);
  unlock();
});
