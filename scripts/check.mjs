// npm test: installs what is missing, then runs every check: format, lint, types, architecture, unit tests,
// build, browser tests.
import { mkdtempSync, rmSync, statfsSync } from "node:fs";
import { freemem } from "node:os";
import { join } from "node:path";
import { provideBrowser } from "./browser.mjs";
import { buildApp } from "./built.mjs";
import { installPackages, run } from "./installed.mjs";
import { programOf } from "./programs.mjs";

const runProgram = (packageName, program, args, env) =>
  run(process.execPath, [programOf(packageName, program), ...args], env);

/** What the tests keep at once takes less. */
const ENOUGH_MEMORY = 6e9;

/** The tests make and drop some hundred thousand files: in memory, where the system has a place for it and enough. */
function scratchInMemory() {
  const place = "/dev/shm";
  try {
    const { bavail, bsize } = statfsSync(place);
    if (Math.min(bavail * bsize, freemem()) < ENOUGH_MEMORY) return;
    const scratch = mkdtempSync(join(place, "kellux-check-"));
    process.on("exit", () => rmSync(scratch, { recursive: true, force: true }));
    for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => process.exit(1));
    process.env.TMPDIR = scratch;
  } catch {
    // There is none, or nothing may be written there: the tests use the disk.
  }
}

installPackages();
console.log("\n— format and lint");
runProgram("@biomejs/biome", "biome", ["ci", "."]);
console.log("\n— types");
// What each route must be, which the app's own build would check otherwise.
runProgram("next", "next", ["typegen"]);
runProgram("typescript", "tsc", ["--noEmit"]);
scratchInMemory();
console.log("\n— unit tests, architecture, crash test");
run(process.execPath, [
  "--experimental-vm-modules",
  "--disable-warning=ExperimentalWarning",
  programOf("jest", "jest"),
]);
console.log("\n— build");
buildApp();
console.log("\n— browser tests");
const browser = provideBrowser();
runProgram("@playwright/test", "playwright", ["test"], browser ? { CHROMIUM_PATH: browser } : {});
console.log("\nEvery check passed.");
