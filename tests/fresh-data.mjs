// A data folder as a first start leaves it. Most tests begin with a copy of one: making one takes several seconds.
import { execFileSync } from "node:child_process";
import { createHash } from "node:crypto";
import {
  chmodSync,
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
} from "node:fs";
import { join, resolve } from "node:path";

const CACHE = resolve("node_modules/.cache/kellux");
const MAKE = `
  const { bundled } = await import("./scripts/bundled.mjs");
  const { openDatabase } = await import(bundled("src/data/embedded/open-folder.ts"));
  const { close } = await openDatabase(process.argv[1]);
  await close();
`;

/** The path of the fresh folder, which is made where there is none yet, or one of other sources. */
export function freshData() {
  const path = join(CACHE, `fresh-data-${digest()}`);
  if (existsSync(path)) return path;
  mkdirSync(CACHE, { recursive: true });
  for (const name of readdirSync(CACHE)) {
    if (/^fresh-data-[0-9a-f]{16}$/.test(name)) rmSync(join(CACHE, name), { recursive: true, force: true });
  }
  const unfinished = `${path}.${process.pid}`;
  execFileSync(process.execPath, ["--input-type=module", "--eval", MAKE, unfinished]);
  try {
    renameSync(unfinished, path);
  } catch (error) {
    // Another process was first.
    rmSync(unfinished, { recursive: true });
    if (!existsSync(path)) throw error;
  }
  return path;
}

/** Makes such a folder under another name. */
export function copyFreshData(folder) {
  cpSync(freshData(), folder, { recursive: true });
  // Which later versions of Node do not copy.
  chmodSync(folder, 0o700);
}

/** Of all that a fresh folder follows from. */
function digest() {
  const hash = createHash("sha256");
  for (const file of [...filesBelow("src/data"), "node_modules/@electric-sql/pglite/package.json"])
    hash.update(file).update(readFileSync(file));
  return hash.digest("hex").slice(0, 16);
}

const filesBelow = folder =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter(entry => entry.isFile())
    .map(entry => join(entry.parentPath ?? entry.path, entry.name))
    .sort();
