import { defineConfig } from "@playwright/test";
import { installedBrowser } from "./scripts/browser.mjs";

/** A server with a database of its own for each worker; within one the tests run one after another. */
const PORTS = [4311, 4312];
const PORT = PORTS[Number(process.env.TEST_PARALLEL_INDEX ?? 0)];
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
  timeout: 90_000,
  // Two browsers and their servers share what may be two cores.
  expect: { timeout: 10_000 },
  workers: PORTS.length,
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
  webServer: [...PORTS.map(port => server(port)), server(MANY_DEALS_PORT, { MANY_DEALS: "5000" })],
});
