// The customer's window: it follows the desk, shows what the officer has put on it, and nothing once the deal is left.
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { DealScreen, typeOver } from "./officer";

/** A van of 30,000.00 at 6 % over 60 payments, with an extra where one is named. */
async function vanFor(page: Page, customer: string, extra?: string): Promise<DealScreen> {
  const structure = {
    price: "30000.00",
    ...(extra !== undefined && { extras: [{ name: extra, amount: "1200.00" }] }),
  };
  const plan = { kind: "loan", yearlyRate: "6", payments: 60, frequency: "monthly", signed: "2026-12-08" };
  const file = { format: "kellux-deal", version: 2, currency: "USD", place: "US", customer };
  const made = await page.request.post("/api/deals/import", {
    data: {
      fileName: "deal.json",
      text: JSON.stringify({ ...file, options: [{ structure, plan, find: "payment" }] }),
    },
  });
  expect(made.status()).toBe(201);
  await page.goto(`/deals/${(await made.json()).id}`);
  return new DealScreen(page).ready();
}

const panel = (page: Page) => page.getByRole("region", { name: "Customer screen" });
const shown = (page: Page) => page.getByTestId("customer-screen");
const blank = (page: Page) => page.getByTestId("customer-blank");

async function openWindow(page: Page): Promise<Page> {
  await page.getByRole("button", { name: "Customer screen" }).click();
  const [screen] = await Promise.all([
    page.waitForEvent("popup"),
    panel(page).getByRole("button", { name: "Open its window" }).click(),
  ]);
  return screen;
}

test("the window follows the desk, holds still while frozen, and is blank at once when the deal is left", async ({
  page,
}) => {
  const deal = await vanFor(page, "Perpetua Lind");
  const screen = await openWindow(page);
  await expect(screen.getByTestId("customer-sentence")).toContainText("60 monthly payments of $579.98");
  await expect(shown(screen)).toContainText("for Perpetua Lind");
  const card = screen.getByRole("listitem").first();
  // The same facts of each: payment and how many, at signing, in all, APR, what is owned.
  for (const fact of [
    "$579.98",
    "60 monthly payments",
    "at signing $0.00",
    "in all $34,7",
    "APR 6.00 %",
    "it is yours",
  ])
    await expect(card).toContainText(new RegExp(fact.replace(/[$.]/g, "\\$&").replace(/ /g, "\\s*")));
  await typeOver(deal.field("Price"), "32,000");
  await expect(screen.getByTestId("customer-sentence")).toContainText("$618.65");
  await page.getByRole("button", { name: "Customer screen" }).click();
  await panel(page).getByLabel("Freeze it as it is").check();
  await expect(shown(screen)).toContainText(/as of \d/);
  await typeOver(deal.field("Price"), "33,000");
  await expect(deal.sentence).toContainText("637.98");
  await expect(screen.getByTestId("customer-sentence")).toContainText("$618.65");
  await page.getByRole("button", { name: "Customer screen" }).click();
  await panel(page)
    .getByLabel(/^Frozen as of/)
    .uncheck();
  await expect(screen.getByTestId("customer-sentence")).toContainText("$637.98");
  await expect(shown(screen)).not.toContainText("as of");
  await page.keyboard.press("Escape");
  await deal.saved();
  await page.goto("/");
  await expect(blank(screen)).toBeVisible({ timeout: 2000 });
  expect(await screen.evaluate(() => localStorage.length + sessionStorage.length)).toBe(0);
});

test("parts and options are chosen, and the window is blank once nobody speaks", async ({ page }) => {
  await vanFor(page, "Anselm Quarry", "Awning");
  const screen = await openWindow(page);
  await panel(page).getByLabel("Extras one by one").check();
  await expect(screen.getByRole("region", { name: "Extras, one by one" })).toContainText("Awning");
  await panel(page).getByLabel("Options side by side").uncheck();
  await expect(screen.getByRole("listitem")).toHaveCount(0);
  await panel(page).getByLabel("How long it is kept").check();
  const keptPart = screen.getByRole("region", { name: "How long you keep it" });
  await expect(keptPart).toContainText("Cash");
  // Also before anything of it was typed.
  await expect(keptPart).toContainText(/Kept for 36 months and driven \d{1,2},\d{3} miles a year/);
  await expectNoAxeFindings(screen, false);
  await screen.setViewportSize({ width: 390, height: 844 });
  expect(await screen.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  // The desk falls silent, as one does that hangs: no message for three seconds.
  await page.evaluate(() => {
    const { postMessage } = BroadcastChannel.prototype;
    BroadcastChannel.prototype.postMessage = () => {};
    Object.assign(window, { speakAgain: () => Object.assign(BroadcastChannel.prototype, { postMessage }) });
  });
  await screen.waitForTimeout(1500);
  await expect(shown(screen)).toBeVisible();
  await expect(blank(screen)).toBeVisible({ timeout: 5000 });
  await page.evaluate(() => (window as unknown as { speakAgain: () => void }).speakAgain());
  await expect(shown(screen)).toContainText("Anselm Quarry", { timeout: 5000 });
});

test("another deal takes the window only where it is put there", async ({ page, context }) => {
  await vanFor(page, "First Arrowsmith");
  const screen = await openWindow(page);
  await expect(shown(screen)).toContainText("First Arrowsmith");
  const other = await context.newPage();
  const second = await vanFor(other, "Second Boatwright");
  await second.type({ Price: "31,000" });
  await expect(shown(screen)).toContainText("First Arrowsmith");
  // The window has a name: it is the same one.
  await other.getByRole("button", { name: "Customer screen" }).click();
  const opened = other.waitForEvent("popup", { timeout: 3000 }).catch(() => screen);
  await panel(other).getByRole("button", { name: "Open its window" }).click();
  await expect(shown(await opened)).toContainText("Second Boatwright");
});

test("with the keyboard alone it stands over the desk, and nothing else can be reached meanwhile", async ({
  page,
}) => {
  const deal = await vanFor(page, "Odo Fenn");
  await deal.field("Price").focus();
  await page.keyboard.press("F9");
  await expect(shown(page)).toContainText("You finance $30,000.00");
  await expectNoAxeFindings(page);
  await page.keyboard.press("Escape");
  await expect(shown(page)).toHaveCount(0);
  await expect(deal.field("Price")).toBeFocused();
  await page.keyboard.press("F9");
  await expect(shown(page)).toBeVisible();
  await page.keyboard.press("F9");
  await expect(shown(page)).toHaveCount(0);
});
