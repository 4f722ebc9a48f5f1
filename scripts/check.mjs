// npm test: installs what is missing, then runs every check: format, lint, types, architecture, unit tests,
// build, browser tests. What takes longer is npm run test:long.
import { buildApp } from "./built.mjs";
import {
  browserTests,
  provideOffice,
  providePaperReaders,
  runProgram,
  scratchInMemory,
  testDataOnServer,
  unitTests,
} from "./checks.mjs";
import { installPackages } from "./installed.mjs";

installPackages();
console.log("\n— format and lint");
runProgram("@biomejs/biome", "biome", ["ci", "."]);
console.log("\n— types");
// What each route must be, which the app's own build would check otherwise.
runProgram("next", "next", ["typegen"]);
runProgram("typescript", "tsc", ["--noEmit"]);
scratchInMemory();
providePaperReaders();
provideOffice(false);
console.log("\n— unit tests, architecture, crash test");
unitTests();
console.log("\n— data on a PostgreSQL server");
await testDataOnServer();
console.log("\n— build");
buildApp();
console.log("\n— browser tests");
browserTests();
console.log("\nEvery check passed.");
