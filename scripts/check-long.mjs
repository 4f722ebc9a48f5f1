// npm run test:long: what takes longer than a change should wait for: random cases by the thousand, processes that are
// killed and power that is cut at more moments, workbooks that a spreadsheet program reckons, real servers that are started,
// stopped, killed and filled, and the later versions of Node.
import { buildApp } from "./built.mjs";
import { browserTests, provideOffice, scratchInMemory, unitTests } from "./checks.mjs";
import { installPackages } from "./installed.mjs";
import { testOnOtherNodes } from "./other-nodes.mjs";
import { providePostgres } from "./postgres.mjs";

/** What draws random cases, or kills. */
const LONG_UNIT_TESTS = [
  "tests/(core|exchange)/.*property",
  "tests/core/(yield|reach|time-value|rates|questions|equal-principal)",
  "tests/features/fields",
  "tests/exchange/hostile-files",
  "tests/data/(crash|power-cut)",
  "tests/server/register",
  "tests/workbook",
];

installPackages();
scratchInMemory();
provideOffice(true);
providePostgres();
console.log("\n— random cases, kills and power cuts");
unitTests(LONG_UNIT_TESTS, {
  KELLUX_TIMES: "5",
  KELLUX_KILLS: "100",
  KELLUX_EVERY: "10",
  KELLUX_WORKBOOKS: "30",
});
console.log("\n— build");
buildApp();
console.log("\n— real servers");
browserTests({ KELLUX_LONG: "1", KELLUX_FUZZ: "3000" });
console.log("\n— later versions of Node");
await testOnOtherNodes();
console.log("\nEvery long check passed.");
