import type { Browser, Page } from "@playwright/test";
import { median } from "./by-turns";
import { say } from "./say";

const LOOKS = 20;
const SEARCH = "vantongeren 683";

/** Measures the register of a server with very many deals: how soon a page comes, how large it is, and a key in its search. */
export async function benchRegister(browser: Browser, address: string, deals: number): Promise<void> {
  const looks: { firstByte: number; size: number }[] = [];
  for (let k = 0; k < LOOKS; k++) looks.push(await look(address));
  const [first, ...others] = looks.map(({ firstByte }) => firstByte);
  const what = `register of ${deals.toLocaleString("en")} deals`;
  say(`${what}, first byte, median`, ms(median(others)), "target ≤ 200 ms");
  say(`${what}, first byte after the start`, ms(first ?? 0));
  say(`${what}, page`, `${((looks[0]?.size ?? 0) / 1000).toFixed(0)} kB`, "target ≤ 200 kB");
  const keys = await searchKeys(browser, address);
  say(`${what}, a search key to its rows, median`, ms(median(keys)));
  say(`${what}, a search key to its rows, longest`, ms(Math.max(...keys)), "target ≤ 100 ms");
}

async function look(address: string): Promise<{ firstByte: number; size: number }> {
  const start = performance.now();
  const response = await fetch(address);
  const reader = response.body?.getReader();
  await reader?.read();
  const firstByte = performance.now() - start;
  await reader?.cancel();
  return { firstByte, size: (await (await fetch(address)).arrayBuffer()).byteLength };
}

/** Milliseconds from each key of a search until its rows are on the screen. */
async function searchKeys(browser: Browser, address: string): Promise<number[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address, { waitUntil: "networkidle" });
  const field = page.getByLabel("Search the deals");
  const costs: number[] = [];
  for (const key of SEARCH) {
    await startClock(page);
    await field.press(key === " " ? "Space" : key);
    costs.push(await page.evaluate(() => (window as unknown as { painted: Promise<number> }).painted));
  }
  await page.close();
  return costs;
}

/** Runs from the next key until what the server answered to it was put on the screen. */
async function startClock(page: Page): Promise<void> {
  await page.evaluate(() => {
    const target = window as unknown as { painted: Promise<number> };
    target.painted = new Promise(done => {
      addEventListener(
        "keydown",
        ({ timeStamp }) => {
          const answers = new PerformanceObserver(list => {
            if (!list.getEntries().some(({ name }) => name.includes("/api/deals"))) return;
            answers.disconnect();
            // The rows are put in by then, and the frame with them is next.
            setTimeout(() => requestAnimationFrame(() => done(performance.now() - timeStamp)));
          });
          answers.observe({ type: "resource" });
        },
        { once: true },
      );
    });
  });
}

const ms = (milliseconds: number) => `${milliseconds.toFixed(0)} ms`;
