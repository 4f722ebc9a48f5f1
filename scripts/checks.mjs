// The checks that npm test and npm run test:long are made of.
import { spawnSync } from "node:child_process";
import { chmodSync, mkdtempSync, rmSync, statfsSync } from "node:fs";
import { freemem } from "node:os";
import { join } from "node:path";
import { installByApt } from "./apt.mjs";
import { provideBrowser } from "./browser.mjs";
import { run } from "./installed.mjs";
import { providePostgres, startPostgres } from "./postgres.mjs";
import { programOf } from "./programs.mjs";

/** Runs the program of an installed package; what fails ends the whole. */
export const runProgram = (packageName, program, args, env) =>
  run(process.execPath, [programOf(packageName, program), ...args], env);

/** What the tests keep at once takes less. */
const ENOUGH_MEMORY = 6e9;

/** The tests make and drop some hundred thousand files: in memory, where the system has a place for it and enough. */
export function scratchInMemory() {
  const place = "/dev/shm";
  try {
    const { bavail, bsize } = statfsSync(place);
    if (Math.min(bavail * bsize, freemem()) < ENOUGH_MEMORY) return;
    const scratch = mkdtempSync(join(place, "kellux-check-"));
    // A server of the tests is run as another user, who has to come to its own folder in it.
    chmodSync(scratch, 0o711);
    process.on("exit", () => rmSync(scratch, { recursive: true, force: true }));
    for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => process.exit(1));
    process.env.TMPDIR = scratch;
  } catch {
    // There is none, or nothing may be written there: the tests use the disk.
  }
}

/** What tests read papers with. */
const READERS = ["pdftotext", "pdfinfo", "pdffonts", "pdftoppm"];

/** Sees that papers can be read back, and says so loudly where they cannot. */
export function providePaperReaders() {
  const isThere = () => READERS.every(name => spawnSync(name, ["-v"]).status === 0);
  if (isThere() || (installByApt("poppler-utils") && isThere())) return;
  console.warn(
    "\nPAPERS ARE NOT READ BACK: poppler-utils (pdftotext, pdftoppm) is not there and cannot be installed.\n",
  );
}

/**
 * Says loudly where workbooks are not reckoned by a spreadsheet program, because there is none.
 *
 * @param mayInstall whether it is fetched where it can be: it is large
 */
export function provideOffice(mayInstall) {
  const isThere = () => spawnSync("soffice", ["--version"]).status === 0;
  if (isThere() || (mayInstall && installByApt("libreoffice-calc-nogui") && isThere())) return;
  console.warn(
    "\nWORKBOOKS ARE NOT RECKONED: LibreOffice (libreoffice-calc-nogui) is not there, so that formulas are not checked.\n",
  );
}

export const unitTests = (patterns = [], env = {}) =>
  run(
    process.execPath,
    [
      "--experimental-vm-modules",
      "--disable-warning=ExperimentalWarning",
      programOf("jest", "jest"),
      ...patterns,
    ],
    env,
  );

/** What of the data is tested on a PostgreSQL server, too. */
const ON_SERVER = [
  "tests/data/(asides|carry|database|deal-income|dealer|doings|history|jobs|on-server|rates|settings|sign-in|who-and-what)",
  "tests/server/(arriving|stock)",
];

/** Tests the data on a server of the tests' own. */
export async function testDataOnServer() {
  if (!providePostgres()) return;
  const { url, clear, drop } = await startPostgres();
  process.on("exit", drop);
  unitTests(ON_SERVER, { KELLUX_TEST_SERVER: url });
  process.off("exit", drop);
  await clear();
}

export function browserTests(env = {}) {
  const browser = provideBrowser();
  runProgram("@playwright/test", "playwright", ["test"], {
    ...(browser && { CHROMIUM_PATH: browser }),
    ...env,
  });
}
