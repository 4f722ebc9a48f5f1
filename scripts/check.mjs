// npm test: installs what is missing, then runs every check: format, lint, types, architecture, unit tests,
// build, browser tests.
import { provideBrowser } from "./browser.mjs";
import { buildApp } from "./built.mjs";
import { installPackages, run } from "./installed.mjs";
import { programOf } from "./programs.mjs";

const runProgram = (packageName, program, args, env) =>
  run(process.execPath, [programOf(packageName, program), ...args], env);

installPackages();
console.log("\n— format and lint");
runProgram("@biomejs/biome", "biome", ["ci", "."]);
console.log("\n— types");
runProgram("typescript", "tsc", ["--noEmit"]);
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
