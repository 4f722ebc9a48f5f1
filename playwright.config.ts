import { defineConfig } from "@playwright/test";
import { installedBrowser } from "./scripts/browser.mjs";

const PORT = 4311;
/** Where the register of many deals is served, for e2e/many-deals.spec.ts. */
const MANY_DEALS_PORT = 4314;

const server = (port: number, env: Record<string, string> = {}) => ({
  command: "node e2e/server.mjs",
  url: `http://localhost:${port}/api/health`,
  env: { PORT: String(port), ...env },
  timeout: 120_000,
  // Time to close the database and clear its folder away.
  gracefulShutdown: { signal: "SIGTERM" as const, timeout: 5000 },
});

export default defineConfig({
  testDir: "e2e",
  timeout: 45_000,
  // One server with one database: the tests run one after another.
  workers: 1,
  reporter: [["list"]],
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    locale: "en-US",
    timezoneId: "UTC",
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
  webServer: [server(PORT), server(MANY_DEALS_PORT, { MANY_DEALS: "5000" })],
});
