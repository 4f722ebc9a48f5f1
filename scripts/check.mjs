// npm test: installs what is missing, then runs every check: format, lint, types, architecture, unit tests,
// build, browser tests.
import { spawnSync } from "node:child_process";
import { existsSync } from "node:fs";
import { buildApp } from "./built.mjs";
import { installPackages, run } from "./installed.mjs";

const CHROMIUM = process.env.CHROMIUM_PATH || "/usr/bin/chromium";

function installChromium() {
  if (existsSync(CHROMIUM)) return;
  const apt = spawnSync("apt-get", ["--version"]).status === 0;
  if (!apt) {
    console.error(
      "The browser tests need Chromium: install it, and set CHROMIUM_PATH where it is not /usr/bin/chromium.",
    );
    process.exit(1);
  }
  const sudo = process.getuid?.() === 0 ? [] : ["sudo"];
  for (const step of [["update"], ["install", "-y", "--no-install-recommends", "chromium"]]) {
    const [command, ...args] = [...sudo, "apt-get", ...step];
    run(command, args);
  }
}

const bin = name => `node_modules/.bin/${name}`;

installPackages();
console.log("\n— format and lint");
run(bin("biome"), ["ci", "."]);
console.log("\n— types");
run(bin("tsc"), ["--noEmit"]);
console.log("\n— unit tests, architecture, crash test");
run("npm", ["run", "--silent", "unit"]);
console.log("\n— build");
buildApp();
console.log("\n— browser tests");
installChromium();
run(bin("playwright"), ["test"], { CHROMIUM_PATH: CHROMIUM });
console.log("\nEvery check passed.");
