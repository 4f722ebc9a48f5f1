import { expect, test } from "@playwright/test";
import { DealScreen, newDeal, newDealFromRegister, pick, press, VAN, view } from "./officer";

test("another vehicle from stock offers its prices, and changes none unasked", async ({ page }) => {
  const vehicles = [
    ["Offer van, stock 8101", 4_320_000, 4_500_000],
    ["Offer van, stock 8102", 3_990_000, 4_100_000],
  ].map(([description, priceMinor, listPriceMinor]) => ({
    description,
    priceMinor,
    listPriceMinor,
    costMinor: null,
    currency: "USD",
  }));
  expect((await page.request.post("/api/stock", { data: { vehicles } })).ok()).toBe(true);
  const deal = await newDeal(page);
  await pick(page, "Vehicle or purpose", "Offer van, stock 8101");
  await expect(deal.field("Price")).toHaveValue("43,200.00");
  await pick(page, "Vehicle or purpose", "Offer van, stock 8102");
  await expect(page.getByText("39,900.00 in stock: take it?")).toBeVisible();
  await expect(deal.field("Price")).toHaveValue("43,200.00");
  await press(page, "Take it");
  await expect(deal.field("Price")).toHaveValue("39,900.00");
  await expect(page.getByText("in stock: take")).toHaveCount(0);
  // A lease takes the list price, too.
  await page.getByLabel("Kind", { exact: true }).selectOption("lease");
  await expect(deal.field("List price")).toBeVisible();
  await pick(page, "Vehicle or purpose", "Offer van, stock 8101");
  await expect(deal.field("List price")).toHaveValue("45,000.00");
  await expect(page.getByText("43,200.00 in stock: take it?")).toBeVisible();
});

test("deleted deals are listed and brought back; deals are found by when they were changed", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Tamsyn Orrick", ...VAN });
  await deal.saved();
  await page.goto("/?search=Orrick");
  const row = page.getByRole("row", { name: /Tamsyn Orrick/ });
  await row.getByRole("button", { name: /^Delete/ }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole("heading", { name: "Deals" }).click();
  await page.keyboard.press("Control+z");
  await expect(row).toBeVisible();
  await row.getByRole("button", { name: /^Delete/ }).click();
  await expect(row).toHaveCount(0);
  await page.reload();
  await page.getByLabel("Status").selectOption("Deleted");
  await row.getByRole("button", { name: "Bring back" }).click();
  await expect(row).toHaveCount(0);
  await page.getByLabel("Status").selectOption("Any status");
  await expect(row).toBeVisible();

  await page.getByLabel("Last changed").selectOption("Today");
  await expect(row).toBeVisible();
  await page.getByLabel("Last changed").selectOption("Last month");
  await expect(page.getByText("No deal is like that.")).toBeVisible();
  await page.getByLabel("Last changed").selectOption("Between two dates");
  await page.getByLabel("Changed from").fill("Jan 1, 2020");
  await page.getByLabel("Changed until").fill("");
  await expect(row).toBeVisible();
  await page.getByLabel("Last changed").selectOption("Any time");
  await page.getByLabel("Search the deals").fill("Orrick 2020-01-01");
  await expect(page.getByText("No deal matches this search.")).toBeVisible();
});

test("reach answers from a budget alone, in the deal's own payments; a personal loan reaches amounts", async ({
  page,
}) => {
  const deal = await newDealFromRegister(page);
  await view(page, "Reach").click();
  const reach = page.getByRole("region", { name: "Reach" });
  await page.getByLabel("What the customer can pay a month").fill("500");
  await expect(reach.getByRole("row").nth(1)).toContainText(/\d\d,\d{3}\.\d\d/);
  const payments = await reach.getByLabel("Term 1: payments").inputValue();
  await page.getByLabel("How often").selectOption("every week");
  await expect(reach.getByLabel("Term 1: payments")).toHaveValue(String((Number(payments) / 12) * 52));
  await page.getByLabel("How often").selectOption("every month");
  await press(page, "make it a personal loan");
  await expect(reach).toContainText("an amount of");
  await expect(reach.getByRole("columnheader", { name: "in stock" })).toHaveCount(0);
  await page.getByLabel("What the customer can pay a month").fill("500");
  await deal.type({ "Amount asked for": "5,000" });
  await page.getByLabel("What the customer can pay a month").fill("60,000");
  await expect(page.getByText("That is above the price of 5,000.00, each month.")).toBeVisible();
  await press(page, "600.00?");
  await expect(page.getByLabel("What the customer can pay a month")).toHaveValue("600.00");
});

test("what nobody would agree to is taken by no Enter alone", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Ives Pellow", ...VAN, "Cash down": "3,000" });
  await page.getByLabel("Which figure is wanted").selectOption({ label: "sum due at signing" });
  await page.getByLabel("Make it").fill("1,000");
  const moves = page.getByRole("table", { name: "What would have to move" });
  await expect(moves.getByRole("row", { name: /^Cash down/ })).toContainText("1,000.00");
  await page.getByLabel("Which figure is wanted").selectOption({ label: "payment" });
  await page.getByLabel("Make it").fill("100");
  await expect(moves.getByRole("row", { name: /^Price/ })).toContainText("beyond what is usual");
  await expect(moves).not.toContainText("none none");
  const now = await deal.sentence.textContent();
  await page.getByLabel("Make it").press("Enter");
  await page.waitForTimeout(300);
  expect(await deal.sentence.textContent()).toBe(now);
});

test("the palette knows what stands off the screen, and what is said of a payment, a tax, a fee or a lease", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Ives Pellow", ...VAN });
  const anything = page.getByPlaceholder(/^A command, a field/);
  const ask = async (text: string) => {
    await page.keyboard.press("Control+k");
    await anything.fill(text);
  };
  for (const [word, name] of [
    ["payoff", /^Payoff/],
    ["interest", /^Interest and finance charge/],
    ["totals", /^Totals/],
    ["print", /^Print/],
    ["export", /^Export/],
    ["new deal", /^New deal/],
    ["lease", /^Make it a lease/],
  ] as const) {
    await ask(word);
    await expect(page.getByRole("option", { name }).first()).toBeVisible();
    await page.keyboard.press("Escape");
  }
  await ask("fee 299");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Fee 1", { exact: true })).toHaveValue("299.00");
  await ask("tax 6.25");
  await page.keyboard.press("Enter");
  // 6.25 % of 30,000.00 is 1,875.00.
  await expect(page.getByTestId("amount-financed")).toHaveText("32,174.00");
  await ask("make it 500");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Make it")).toHaveValue("500");
  await expect(page.getByRole("table", { name: "What would have to move" })).toBeVisible();
  await page.goto("/stock");
  await page.keyboard.press("Control+/");
  await expect(page.getByRole("heading", { name: "Keys" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { name: "Keys" })).toHaveCount(0);
});

test("a deal is a lease or a personal loan from the start; without amounts its currency can be another", async ({
  page,
}) => {
  await page.goto("/");
  await press(page, "Another kind of deal");
  await page.getByRole("button", { name: "Lease", exact: true }).click();
  await page.waitForURL("**/deals/*");
  const deal = await new DealScreen(page).ready();
  await expect(page.getByRole("heading", { name: /^Plan: lease/ })).toBeVisible();
  await page.goto("/");
  await press(page, "Another kind of deal");
  await page.getByRole("button", { name: "Personal loan", exact: true }).click();
  await page.waitForURL("**/deals/*");
  await deal.ready();
  await expect(deal.field("Amount asked for")).toBeVisible();
  for (const label of ["Cash down", "Trade-in allowance", "Deposit paid"])
    await expect(deal.field(label)).toHaveCount(0);
  await page.getByLabel("Currency").fill("EUR");
  await expect(page.getByText("running total, EUR")).toBeVisible();
  await press(page, "+ cash down");
  await expect(deal.field("Cash down")).toBeFocused();
  await deal.type({ "Amount asked for": "5,000" });
  await expect(page.getByLabel("Currency")).toHaveCount(0);
});
