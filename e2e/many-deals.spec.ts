// The register of 5,000 deals: scripts/many-deals.ts says what stands in them.
import { expect, type Page, test } from "@playwright/test";
import { DealScreen } from "./officer";
import { MANY_DEALS_PORT } from "./shared-servers";

test.use({ baseURL: `http://localhost:${MANY_DEALS_PORT}` });

const rows = (page: Page) => page.locator("tbody tr");
const status = (page: Page) => page.getByRole("status").filter({ hasText: "deal" });
const column = async (page: Page, index: number) =>
  (await page.locator(`tbody tr td:nth-child(${index})`).allInnerTexts()).map(text => text.trim());
const amounts = async (page: Page, index: number) =>
  (await column(page, index)).map(text => Number.parseFloat(text.replaceAll(",", "")));

test("opens with the deals that were changed last, and a page after them", async ({ page }) => {
  await page.goto("/");
  await expect(rows(page)).toHaveCount(25);
  await expect(status(page)).toHaveText("1–25 of 5,000 deals");
  await expect(rows(page).first()).toContainText("stock 10001");
  await page.getByRole("button", { name: "Next page" }).click();
  await expect(status(page)).toHaveText("26–50 of 5,000 deals");
  await expect(rows(page).first()).toContainText("stock 10026");
  await expect(page).toHaveURL(/\?page=2$/);
  // The same page after a look at a deal.
  await rows(page).first().getByRole("link").click();
  await page.waitForURL("**/deals/*");
  await new DealScreen(page).ready();
  await page.goBack();
  await expect(status(page)).toHaveText("26–50 of 5,000 deals");
  await page.getByRole("button", { name: "Previous page" }).click();
  await expect(page.getByRole("button", { name: "Previous page" })).toBeDisabled();
  await expect(page).toHaveURL("/");
});

test("is searched on the server as one types", async ({ page }) => {
  await page.goto("/?page=7");
  const search = page.getByLabel("Search the deals");
  await expect(search).toBeEnabled();
  await search.pressSequentially("zoe carrow 49", { delay: 20 });
  await expect(status(page)).toHaveText(/^\d+ deals found$/);
  for (const text of await rows(page).allInnerTexts()) expect(text).toMatch(/Zoë Carrow.*49/s);
  await search.fill("van");
  await expect(status(page)).toHaveText("1–25 of more than 200 deals found");
  await search.fill("stock 14999");
  await expect(rows(page)).toHaveCount(1);
  await page.reload();
  await expect(search).toHaveValue("stock 14999");
  await expect(rows(page)).toHaveCount(1);
  await search.fill("nobody of this name");
  await expect(page.getByText("No deal matches this search.")).toBeVisible();
});

test("is sorted on the server, over all pages", async ({ page }) => {
  await page.goto("/");
  const header = page.getByRole("columnheader", { name: "Payment" });
  await header.getByRole("button").click();
  await expect(header).not.toHaveAttribute("aria-sort", "none");
  const direction = await header.getAttribute("aria-sort");
  await expect(async () => {
    const first = await amounts(page, 3);
    expect(first).toEqual([...first].sort((a, b) => (direction === "ascending" ? a - b : b - a)));
    expect(first).toHaveLength(25);
  }).toPass();
  const before = await amounts(page, 3);
  await header.getByRole("button").click();
  await expect(header).not.toHaveAttribute("aria-sort", direction ?? "");
  await expect.poll(async () => (await amounts(page, 3))[0]).not.toBe(before[0]);
  const after = await amounts(page, 3);
  expect(after).toEqual([...after].sort((a, b) => (direction === "ascending" ? b - a : a - b)));
  // The two ends of 5,000.
  expect(Math.abs((after[0] ?? 0) - (before[0] ?? 0))).toBeGreaterThan(1000);
  await page.getByRole("columnheader", { name: "Customer" }).getByRole("button").click();
  await expect(rows(page).first()).toContainText("Ansel Carrow");
});

test("a deal is deleted out of a search, and back with undo; the others stay", async ({ page }) => {
  // 12340 to 12349, and 11234.
  await page.goto("/?search=stock+1234");
  await expect(status(page)).toHaveText("11 deals found");
  const row = page.getByRole("row", { name: /stock 12345/ });
  await row.getByRole("button", { name: /Delete/ }).click();
  await expect(row).toHaveCount(0);
  await expect(status(page)).toHaveText("10 deals found");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(row).toHaveCount(1);
  await expect(status(page)).toHaveText("11 deals found");
});

test("a new deal's figures come into the list by themselves", async ({ page }) => {
  await page.goto("/");
  const deal = {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "30000.00" },
    plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 },
    find: "payment",
  };
  const buffer = Buffer.from(JSON.stringify(deal));
  await page
    .getByLabel("Deal files")
    .setInputFiles([{ name: "Ingram Sallow.json", mimeType: "application/json", buffer }]);
  await expect(page.getByRole("row", { name: /Ingram Sallow .*579\.98 USD 30,000\.00 USD/ })).toBeVisible();
  await expect(status(page)).toHaveText("1–25 of 5,001 deals");
});
