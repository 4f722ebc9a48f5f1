import { defineConfig } from "@playwright/test";
import { WORKER_PORTS } from "./e2e/shared-servers";
import { installedBrowser } from "./scripts/browser.mjs";

/** What starts, kills or fills servers of its own: npm run test:long. */
const LONG = [
  "**/{backups,directory,edge,many-at-once,many-deals,on-a-server,server-killed,starting-and-stopping,valid-requests}.spec.ts",
  // Requests by the thousand, of which npm test sends some hundred.
  "**/{fuzz,roles-at-random}.spec.ts",
];
const IS_LONG = process.env.KELLUX_LONG === "1";

const PORT = WORKER_PORTS[Number(process.env.TEST_PARALLEL_INDEX ?? 0)];

export default defineConfig({
  testDir: "e2e",
  ...(IS_LONG ? { testMatch: LONG } : { testIgnore: LONG.slice(0, 1) }),
  globalSetup: "./e2e/shared-servers.ts",
  timeout: 90_000,
  // Two browsers and their servers share what may be two cores.
  expect: { timeout: 10_000 },
  workers: WORKER_PORTS.length,
  reporter: [["list"]],
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    locale: "en-US",
    timezoneId: "UTC",
    // A page of its own for each test costs as much as many a test; what the one before has kept is cleared away.
    reuseContext: true,
    launchOptions: {
      executablePath: installedBrowser(),
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-background-networking",
        "--no-first-run",
        "--disable-sync",
      ],
    },
  },
});
