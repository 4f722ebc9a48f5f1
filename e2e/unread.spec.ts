import { expect, test } from "@playwright/test";
import { newDeal, press, typeOver, VAN, view } from "./officer";

test.describe("what cannot be read", () => {
  test("leaves the figure as it was: nothing of it is kept, signed or left unasked", async ({ page }) => {
    const deal = await newDeal(page);
    await deal.type({ Customer: "Nerys Holloway", ...VAN, "Yearly rate": "6.49" });
    await deal.saved();
    const rate = deal.field("Yearly rate");
    await typeOver(rate, "6,49");
    await page.keyboard.press("Tab");
    await expect(rate).toHaveAttribute("aria-invalid", "true");
    await expect(deal.sentence).toHaveClass(/stale/);
    await expect(deal.sentence).toContainText("at 6.49 %");
    await expect(deal.status).toHaveText("Saved, but for what cannot be read");
    await press(page, "Sign …");
    const dialog = page.getByRole("dialog");
    await expect(dialog).toContainText("This option cannot be signed");
    await expect(dialog).toContainText("Yearly rate: “6,49” is not a yearly rate");
    await expect(dialog.getByRole("button", { name: /^Sign/ })).toHaveCount(0);
    await page.keyboard.press("Escape");

    // Leaving asks; who leaves all the same finds the figure as it was.
    const asked = page.waitForEvent("dialog");
    const left = page.getByRole("link", { name: "Back to the deals" }).click({ noWaitAfter: true });
    const leaving = await asked;
    expect(leaving.type()).toBe("beforeunload");
    await leaving.accept();
    await left;
    await page.waitForURL(/\/$/);
    await page.goBack();
    await deal.ready();
    await expect(rate).toHaveValue("6.49");

    // It is offered, as this place writes it.
    await typeOver(rate, "6,79");
    await press(page, "6.79?");
    await expect(rate).toHaveValue("6.79");
    await deal.saved();
  });

  for (const [label, typed, before, meant] of [
    ["Price", "41.850,00", "30,000.00", "41,850.00?"],
    ["Number of payments", "72.5", "60", undefined],
    ["Yearly rate", "45000", "6", undefined],
  ] as const) {
    test(`${typed} in ${label} is offered where it can be read one way, and kept in none`, async ({
      page,
    }) => {
      const deal = await newDeal(page);
      await deal.type({ Customer: "Nerys Holloway", ...VAN });
      const field = deal.field(label);
      await typeOver(field, typed);
      await expect(field).toHaveAttribute("aria-invalid", "true");
      if (meant) await expect(page.getByRole("button", { name: meant })).toBeVisible();
      await expect(deal.status).toHaveText("Saved, but for what cannot be read");
      await page.reload();
      await deal.ready();
      await expect(field).toHaveValue(before);
    });
  }

  test("leaves the house's terms, a budget, reach and the stock as they were, too", async ({ page }) => {
    await page.request.post("/api/stock", {
      data: {
        vehicles: [
          {
            description: "First day van, stock 8001",
            priceMinor: 3_000_000,
            costMinor: null,
            listPriceMinor: null,
            currency: "USD",
          },
        ],
      },
    });
    const deal = await newDeal(page);
    await deal.type({ Customer: "Nerys Holloway", ...VAN });
    await view(page, "Reach").click();
    const budget = page.getByLabel("What the customer can pay a month");
    await budget.fill("600");
    const term = page.getByRole("region", { name: "Reach" }).getByLabel("Term 1: rate");
    await term.fill("6.5");
    await term.press("Tab");
    await typeOver(term, "7,25");
    await expect(term).toHaveAttribute("aria-invalid", "true");
    await typeOver(budget, "650,00");
    await expect(budget).toHaveAttribute("aria-invalid", "true");
    await press(page, "650.00?");
    await expect(budget).toHaveValue("650.00");
    await press(page, "7.25?");
    await expect(term).toHaveValue("7.25");

    await page.goto("/stock");
    const price = page.getByLabel("Asking price of First day van, stock 8001");
    await typeOver(price, "29.500,00");
    await expect(price).toHaveAttribute("aria-invalid", "true");
    const asked = page.waitForEvent("dialog");
    const left = page.getByRole("link", { name: "Settings" }).click({ noWaitAfter: true });
    await (await asked).accept();
    await left;
    await page.waitForURL("**/settings");
    const { settings } = await (await page.request.get("/api/settings")).json();
    const rate = page.getByRole("textbox", { name: "Yearly rate" });
    await typeOver(rate, "6,49");
    await expect(rate).toHaveAttribute("aria-invalid", "true");
    await page.waitForTimeout(600);
    expect((await (await page.request.get("/api/settings")).json()).settings).toEqual(settings);
    await page.getByRole("button", { name: "6.49?" }).waitFor();
    page.once("dialog", leaving => leaving.accept());
    await page.goto("/stock");
    await expect(price).toHaveValue("30,000.00");
  });
});
