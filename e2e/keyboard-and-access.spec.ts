import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { newDeal, openDeal, VAN } from "./officer";

test.describe("in the light and in the dark", () => {
  test("the register has no findings", async ({ page }) => {
    await page.goto("/");
    await expectNoAxeFindings(page);
  });

  test("the deal screen has none, with an answer, without one, and with what cannot be read", async ({
    page,
  }) => {
    const deal = await openDeal(page, "Idris Vantongeren", "Larkmoor 240 campervan");
    await expectNoAxeFindings(page);
    await deal.type({ "Yearly rate": "x", "Contract date": "2026-11-24" });
    await expect(deal.sentence).toHaveClass(/stale/);
    await new Promise(resolve => setTimeout(resolve, 300));
    await expectNoAxeFindings(page);
    await deal.type({ "Yearly rate": "6.49" });
    await deal.saved();
    await openDeal(page, "Tobiah Quarles", "Larkmoor Coast");
    await expectNoAxeFindings(page);
  });

  test("a long structure has none, with a tax and a fee open", async ({ page }) => {
    await openDeal(page, "Aurelio Pennant", "Larkmoor 240");
    await page.getByRole("button", { name: "Change Marrow County tax" }).click();
    await expect(page.getByLabel("How the tax comes about")).toBeVisible();
    await expectNoAxeFindings(page);
    await page.getByRole("button", { name: "Change Origination" }).click();
    await expect(page.getByLabel("Fee 2: name")).toBeFocused();
    await expectNoAxeFindings(page);
  });

  test("the settings have none, with a profile and a fee open", async ({ page }) => {
    await page.goto("/settings");
    await expectNoAxeFindings(page);
    await page.getByRole("button", { name: "Change Across the sound" }).click();
    await page.getByRole("button", { name: "Change Origination" }).click();
    await expectNoAxeFindings(page);
  });

  test("the working has none", async ({ page }) => {
    await openDeal(page, "Maren Oakhollow", "Ostrel U2");
    await page.getByRole("button", { name: "Working of the total cost" }).click();
    await expectNoAxeFindings(page);
  });
});

test("a deal is made, bargained and found again with the keyboard alone", async ({ page }) => {
  await page.goto("/");
  const tabTo = async (name: RegExp) => {
    for (let step = 0; step < 80; step++) {
      await page.keyboard.press("Tab");
      const focused = await page.evaluate(() => {
        const element = document.activeElement as HTMLInputElement | null;
        const label =
          element?.labels?.[0]?.textContent ??
          element?.getAttribute("aria-label") ??
          element?.textContent ??
          "";
        return { label, outline: element ? getComputedStyle(element).outlineStyle : "none" };
      });
      if (name.test(focused.label)) {
        // The focus is always to be seen.
        expect(focused.outline).not.toBe("none");
        return;
      }
    }
    throw new Error(`No way to ${name} with the keyboard.`);
  };
  await tabTo(/^New deal$/);
  await page.keyboard.press("Enter");
  await page.waitForURL("**/deals/*");
  await expect(page.getByLabel("Customer")).toBeFocused();
  await page.keyboard.type("Hedda Finch");
  await tabTo(/^Price$/);
  await page.keyboard.type("30000");
  await tabTo(/^Yearly rate$/);
  await page.keyboard.type("6");
  await tabTo(/^Number of payments$/);
  await page.keyboard.type("60");
  await tabTo(/^Make the$/);
  await page.keyboard.type("550");
  // Cash down is first; the price is the next that could give way.
  await expect(page.getByRole("table", { name: "What would have to move" })).toBeVisible();
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("sentence")).toContainText("At a price of $28,449.31");
  await expect(page.getByTestId("save-status")).toContainText(/^Saved \d/);
  await page.goto("/");
  await tabTo(/^Hedda Finch$/);
  await page.keyboard.press("Enter");
  await expect(page.getByTestId("sentence")).toContainText("At a price of $28,449.31");
});

/** By how much the page is larger than the window. */
const overflow = (page: Page) =>
  page.evaluate(() => {
    const { scrollWidth, clientWidth, scrollHeight, clientHeight } = document.documentElement;
    return { sideways: scrollWidth - clientWidth, down: scrollHeight - clientHeight };
  });

test("no page scrolls as a whole at 1280×800, however long what stands on it", async ({ page }) => {
  // A structure with more lines than are seen at once.
  const deal = await openDeal(page, "Hesper Vale", "Ostrel U3");
  await expect(deal.field("Cash down")).toBeAttached();
  expect(await overflow(page)).toEqual({ sideways: 0, down: 0 });
  for (const place of ["/", "/stock", "/rates", "/figures", "/figures/match", "/settings"]) {
    await page.goto(place);
    await expect(page.locator("main > fieldset:enabled")).toBeAttached();
    expect([place, await overflow(page)]).toEqual([place, { sideways: 0, down: 0 }]);
  }
});

test("nothing scrolls sideways at 1280 and at 390 pixels, nor the deal screen as a whole at 1280×800", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({
    ...VAN,
    Price: "10,000,000",
    "Trade-in allowance": "9,000,000",
    "Owed on trade-in": "9,999,999.99",
  });
  expect(await overflow(page)).toEqual({ sideways: 0, down: 0 });
  await page.setViewportSize({ width: 390, height: 844 });
  expect((await overflow(page)).sideways).toBe(0);
  await expect(deal.sentence).toBeVisible();
  await page.goto("/");
  expect((await overflow(page)).sideways).toBe(0);
});

test("on a phone the sentence comes first, and stays in view while figures are changed under it", async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const deal = await newDeal(page);
  await deal.type(VAN);
  const top = async (element: { boundingBox: () => Promise<{ y: number } | null> }) =>
    (await element.boundingBox())?.y ?? Number.NaN;
  expect(await top(deal.sentence)).toBeLessThan(await top(deal.field("Price")));
  await deal.field("Number of payments").scrollIntoViewIfNeeded();
  await page.mouse.move(200, 700);
  await page.mouse.wheel(0, 900);
  await expect.poll(async () => (await top(deal.field("Price"))) < 0).toBe(true);
  await deal.field("Number of payments").fill("48");
  await expect(deal.sentence).toContainText("48 monthly payments of $704.55");
  await expect(deal.sentence).toBeInViewport({ ratio: 1 });
});

test("before a page is alive it takes nothing that would be lost", async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  for (const place of ["/", "/stock", "/rates", "/settings"]) {
    await page.goto(place);
    await expect(page.locator("main button").first()).toBeAttached();
    await expect(
      page.locator("main :is(input, select, textarea, button):enabled:not([type=file])"),
    ).toHaveCount(0);
  }
  await context.close();
});
