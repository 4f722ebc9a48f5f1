import { type ChildProcess, spawn } from "node:child_process";
import { chromium, type Page } from "@playwright/test";

const PORT = "4312";
const ADDRESS = `http://localhost:${PORT}`;
const KEYS = 200;
const PAYMENTS = "360";

/**
 * Types in the deal screen of a 360-payment loan and takes, for each key, the milliseconds that scripts, styles
 * and layout kept the main thread until all figures were painted.
 */
export async function keyPressCosts(): Promise<number[]> {
  const server = spawn(process.execPath, ["e2e/server.mjs"], {
    env: { ...process.env, PORT },
    stdio: "ignore",
  });
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM_PATH || "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-background-networking", "--no-first-run"],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await untilServed(server);
    await openLongLoan(page);
    return await measure(page);
  } finally {
    await browser.close();
    server.kill("SIGTERM");
  }
}

async function untilServed(server: ChildProcess): Promise<void> {
  for (let attempt = 0; attempt < 100; attempt++) {
    if (server.exitCode !== null) throw new Error("The server stopped.");
    const served = await fetch(`${ADDRESS}/api/deals`).then(
      response => response.ok,
      () => false,
    );
    if (served) return;
    await new Promise(resolve => setTimeout(resolve, 200));
  }
  throw new Error("The server does not answer.");
}

async function openLongLoan(page: Page): Promise<void> {
  await page.goto(ADDRESS);
  await page.getByRole("button", { name: "New deal" }).click();
  await page.waitForSelector('[data-testid="desk"]:not([inert])');
  await page.getByLabel("Yearly rate").fill("6.49");
  await page.getByLabel("Number of payments").fill(PAYMENTS);
  await page.getByLabel("Price", { exact: true }).fill("41850");
  await page.getByText(`${PAYMENTS} payments`).waitFor();
}

async function measure(page: Page): Promise<number[]> {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send("Performance.enable");
  const busy = async () => {
    const { metrics } = await devtools.send("Performance.getMetrics");
    return ["ScriptDuration", "LayoutDuration", "RecalcStyleDuration"].reduce(
      (sum, name) => sum + (metrics.find(metric => metric.name === name)?.value ?? 0) * 1000,
      0,
    );
  };
  const price = page.getByLabel("Price", { exact: true });
  const costs: number[] = [];
  for (let key = 0; key < KEYS; key++) {
    const before = await busy();
    // Digits come and go, so that the price stays a price.
    await price.press(key % 2 === 0 ? "7" : "Backspace");
    await page.evaluate(() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done))));
    costs.push((await busy()) - before);
  }
  return costs;
}
