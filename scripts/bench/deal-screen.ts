import { gzipSync } from "node:zlib";
import type { Browser, Page } from "@playwright/test";
import { broughtIn, costOf, type Desk, watched } from "./desk";

const KEYS = 200;
const PAYMENTS = "360";

async function newDeal(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await page.getByRole("button", { name: "New deal" }).click();
  await page.waitForSelector('[data-testid="desk"]:not([inert])');
}

/** Opens the deal screen with a loan of 360 payments, ready to be typed in. */
async function openLongLoan(browser: Browser, address: string): Promise<Desk> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await newDeal(page, address);
  await page.getByLabel("Yearly rate").fill("6.49");
  await page.getByLabel("Number of payments").fill(PAYMENTS);
  await page.getByLabel("Price", { exact: true }).fill("41850");
  await page.getByText(`${PAYMENTS} payments`).waitFor();
  return watched(page);
}

/** A structure with lines of every list, whose fees are solved together with the loan. */
const FULL_STRUCTURE = {
  price: "41850.00",
  taxes: [
    { name: "County tax", rate: "6.25", on: ["price", "fees", "extras"], tradeInCredit: true },
    { name: "Road tax", rate: "0.5", on: ["price"], cap: "150.00" },
  ],
  fees: [
    { name: "Documents", amount: "299.00", taxable: true },
    { name: "Origination", percentOf: "loanAmount", percent: "1.5", financeCharge: true },
    { name: "Title", amount: "184.50", financed: false },
    { name: "Account fee", amount: "4.50", with: "eachPayment", financeCharge: true },
  ],
  extras: [
    { name: "Service contract", amount: "1890.00" },
    { name: "Payment cover", percentOf: "totalOfPayments", percent: "1.5" },
  ],
  rebates: [{ name: "Maker's rebate", amount: "1800.00" }],
  tradeIns: [
    { name: "Ostrel U1", allowance: "9200.00", owed: "11050.00" },
    { name: "Larkmoor Fold", allowance: "2100.00", owed: "0" },
  ],
  down: { percent: "10", of: "total" },
  deposit: "500.00",
};

/** A lease with a tax on each payment, reckoned by a money factor. */
const LEASE = {
  structure: { listPrice: "43200.00", price: "41850.00", down: { amount: "3000.00" } },
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    frequency: "monthly",
    payments: 360,
    inAdvance: 1,
    signed: "2026-11-24",
    residual: { amount: "18240.00" },
    taxes: [{ name: "County tax", rate: "6.25", on: ["payment"] }],
    dispositionFee: "395.00",
  },
};

const openFullStructure = (browser: Browser, address: string) =>
  openBroughtIn(browser, address, {
    structure: FULL_STRUCTURE,
    plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 360, signed: "2026-11-24" },
  });

/** Opens a deal that was brought in as a file, ready to be typed in. */
async function openBroughtIn(browser: Browser, address: string, deal: object): Promise<Desk> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(await broughtIn(page, address, deal));
  await page.getByText(`${PAYMENTS} payments`).waitFor();
  return watched(page);
}

/**
 * Types in the deal screen of each address by turns and takes, for each key, the milliseconds that scripts, styles and
 * layout kept the main thread until all figures were painted. Sorted, one list an address.
 */
export async function keyPressCosts(
  browser: Browser,
  addresses: readonly string[],
  open: (browser: Browser, address: string) => Promise<Desk> = openLongLoan,
): Promise<number[][]> {
  const desks: Desk[] = [];
  for (const address of addresses) desks.push(await open(browser, address));
  const costs = desks.map((): number[] => []);
  for (let key = 0; key < KEYS; key++) {
    for (const [k, desk] of desks.entries()) {
      await desk.page.bringToFront();
      if (key === 0) {
        const price = desk.page.locator("#field-price");
        await price.focus();
        // Before its first digit, where one more is an amount whatever its decimals are.
        await price.press("Home");
      }
      // Digits come and go, so that the price stays a price.
      // The field has the focus: to look for it would keep the page busy too.
      costs[k]?.push(await costOf(desk, now => now.keyboard.press(key % 2 === 0 ? "7" : "Backspace")));
    }
  }
  for (const { page } of desks) await page.close();
  return costs.map(list => list.sort((a, b) => a - b));
}

/** The same in a deal whose structure has every kind of line. */
export async function fullStructureCosts(browser: Browser, address: string): Promise<number[]> {
  const [costs = []] = await keyPressCosts(browser, [address], openFullStructure);
  return costs;
}

/** The same in a lease. */
export async function leaseCosts(browser: Browser, address: string): Promise<number[]> {
  const open = (opened: Browser, at: string) => openBroughtIn(opened, at, LEASE);
  const [costs = []] = await keyPressCosts(browser, [address], open);
  return costs;
}

/** Gzip bytes of every script that a page fetches until the network is idle, prefetched ones too. */
async function scriptOf(browser: Browser, open: (page: Page) => Promise<void>): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const scripts = new Map<string, Promise<Buffer>>();
  page.on("response", response => {
    if (new URL(response.url()).pathname.endsWith(".js") && !scripts.has(response.url()))
      scripts.set(response.url(), response.body());
  });
  await open(page);
  await page.waitForLoadState("networkidle");
  const bodies = await Promise.all(scripts.values());
  await context.close();
  return bodies.reduce((sum, body) => sum + gzipSync(body).length, 0);
}

/** The script of an empty page. */
export const emptyScript = (browser: Browser, address: string): Promise<number> =>
  scriptOf(browser, async page => {
    await page.goto(address);
  });

/** The script of the deal screen of a level loan with its table, opened at its own address. */
export async function dealScript(browser: Browser, address: string): Promise<number> {
  const page = await browser.newPage();
  await newDeal(page, address);
  await page.waitForURL(/\/deals\//);
  await page.getByLabel("Yearly rate").fill("6.49");
  await page.getByLabel("Number of payments").fill("72");
  await page.getByLabel("Price", { exact: true }).fill("41850");
  await page.getByText(/^Saved \d/).waitFor();
  const deal = page.url();
  await page.close();
  return scriptOf(browser, async fresh => {
    await fresh.goto(deal);
    await fresh.getByTestId("sentence").waitFor();
  });
}

/** The script of the deal screen of a lease, opened at its own address. */
export async function leaseScript(browser: Browser, address: string): Promise<number> {
  const page = await browser.newPage();
  const lease = await broughtIn(page, address, LEASE);
  await page.close();
  return scriptOf(browser, async fresh => {
    await fresh.goto(lease);
    await fresh.getByTestId("sentence").waitFor();
  });
}

const LOAN = {
  structure: { price: "41850.00", down: { amount: "3000.00" } },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 360, signed: "2026-11-24" },
  find: "payment",
};

/** A deal of so many options of 360 payments, brought in as a file; its address. */
async function optionsBroughtIn(
  page: Page,
  address: string,
  count: number,
  structure: object = LOAN.structure,
): Promise<string> {
  const options = Array.from({ length: count }, (_, k) => ({
    ...LOAN,
    structure: { ...structure, down: { amount: `${3000 + 1000 * k}.00` } },
  }));
  const text = JSON.stringify({ format: "kellux-deal", version: 2, currency: "USD", options });
  const answer = await page.request.post(`${address}/api/deals/import`, {
    data: { fileName: "Options.json", text },
  });
  const { id } = (await answer.json()) as { id: string };
  return `${address}/deals/${id}`;
}

/** The script of the deal screen of eight options. */
export async function optionsScript(browser: Browser, address: string): Promise<number> {
  const page = await browser.newPage();
  const deal = await optionsBroughtIn(page, address, 8);
  await page.close();
  return scriptOf(browser, async fresh => {
    await fresh.goto(deal);
    await fresh.getByRole("region", { name: "Options" }).waitFor();
  });
}

/** Key presses in a deal of four options with its map open. */
export async function mapOpenCosts(browser: Browser, address: string): Promise<number[]> {
  const open = async (opened: Browser, at: string): Promise<Desk> => {
    const page = await opened.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(await optionsBroughtIn(page, at, 4));
    await page.getByRole("button", { name: "Map", exact: true }).click();
    await page.getByRole("application").waitFor();
    return watched(page);
  };
  const [costs = []] = await keyPressCosts(browser, [address], open);
  return costs;
}

/** Key presses in a deal of four options, each with every kind of line. */
export async function fullOptionsCosts(browser: Browser, address: string): Promise<number[]> {
  const open = async (opened: Browser, at: string): Promise<Desk> => {
    const page = await opened.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(await optionsBroughtIn(page, at, 4, FULL_STRUCTURE));
    await page.getByText(`${PAYMENTS} payments`).waitFor();
    return watched(page);
  };
  const [costs = []] = await keyPressCosts(browser, [address], open);
  return costs;
}

/** Milliseconds from a click until the line-up of eight options is painted, with its code to load and without. */
export async function lineUpCosts(browser: Browser, address: string): Promise<number[]> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(await optionsBroughtIn(page, address, 8));
  await page.getByText("360 payments").waitFor();
  await page.waitForLoadState("networkidle");
  const costs: number[] = [];
  for (let turn = 0; turn < 2; turn++) {
    await page.getByRole("button", { name: "Line-up", exact: true }).hover();
    // A hand takes longer than that from a button to its press.
    await page.waitForTimeout(150);
    costs.push(await page.evaluate(openLineUp));
    await page.getByRole("button", { name: "Desk", exact: true }).click();
    await page.getByText("360 payments").waitFor();
  }
  await page.close();
  return costs;
}

/** Runs in the page: clicks on the view and waits for its figures and its chart. */
function openLineUp(): Promise<number> {
  const began = performance.now();
  const views = [...document.querySelectorAll("nav[aria-label='Views of the deal'] button")] as HTMLElement[];
  views.find(({ textContent }) => textContent === "Line-up")?.click();
  return new Promise(done => {
    const look = () => {
      const isThere = document.querySelector("section[aria-label='Line-up'] figure svg path") !== null;
      if (isThere) requestAnimationFrame(() => done(performance.now() - began));
      else requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
}
