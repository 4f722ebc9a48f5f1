import { defineConfig } from "@playwright/test";

const PORT = 4311;

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
      executablePath: process.env.CHROMIUM_PATH || "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-background-networking",
        "--no-first-run",
        "--disable-sync",
      ],
    },
  },
  webServer: {
    command: "node e2e/server.mjs",
    url: `http://localhost:${PORT}/api/deals`,
    env: { PORT: String(PORT) },
    timeout: 60_000,
    // Time to close the database and clear its folder away.
    gracefulShutdown: { signal: "SIGTERM", timeout: 5000 },
  },
});
