import { spawn } from "node:child_process";
import { once } from "node:events";
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { lockFolder } from "@/data/folder/lock";
import { FolderInUse } from "@/data/folder/refused";
import { saverProgram } from "./saver-program";

const PROGRAM = saverProgram();
const folder = mkdtempSync(join(tmpdir(), "kellux-lock-"));
afterAll(() => rmSync(folder, { recursive: true }));

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
  const path = join(folder, "in-use.json");
  writeFileSync(path, JSON.stringify({ pid: 1, started: "another" }));
  unlock();
  expect(readdirSync(folder)).toEqual(["in-use.json"]);
  rmSync(path);
});

test("a claim left behind by a killed process is taken over", async () => {
  const child = spawn(process.execPath, ["-e", "setInterval(() => {}, 1000)"]);
  await once(child, "spawn");
  writeFileSync(join(folder, "in-use.json"), JSON.stringify({ pid: child.pid, started: "" }));
  child.kill("SIGKILL");
  await once(child, "exit");
  lockFolder(folder)();
});

test("a claim whose process number now belongs to another process is taken over", () => {
  writeFileSync(join(folder, "in-use.json"), JSON.stringify({ pid: process.pid, started: "long ago" }));
  lockFolder(folder)();
});

/** A claim as this process would make it, but for what is said. */
function claimedBy(change: object): void {
  const unlock = lockFolder(folder);
  const path = join(folder, "in-use.json");
  const claim = JSON.parse(readFileSync(path, "utf8"));
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
  expect(claiming).toThrow(`delete ${join(folder, "in-use.json")} and start again`);
  rmSync(join(folder, "in-use.json"));
  lockFolder(folder)();
});

test("a claim from before this machine was started anew is taken over, whoever has that number now", () => {
  claimedBy({ boot: "11111111-2222-4333-8444-555555555555" });
  lockFolder(folder)();
});

test("a claim that cannot be read is taken over", () => {
  writeFileSync(join(folder, "in-use.json"), "{");
  lockFolder(folder)();
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
