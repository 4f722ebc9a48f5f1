import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { newDeal, VAN, view } from "./officer";

test("the map reads any place to the cent, shows what fits, and moves the deal there", async ({
  page,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  const deal = await newDeal(page);
  await deal.type({ Customer: "Hesper Lund", ...VAN });
  await view(page, "Map").click();
  const reading = page.locator("figcaption");
  await expect(reading).toContainText("this deal: 60 monthly payments");
  await expect(reading.locator("strong")).toHaveText("579.98");
  await page.getByLabel("budget a month").fill("550");
  await expect(reading).toContainText("29.98 over budget");
  const map = page.getByRole("application");
  await expect(map.getByText("budget 550")).toBeVisible();

  // A typed deal has the figure that was read.
  await map.focus();
  for (let n = 0; n < 12; n++) await page.keyboard.press("ArrowRight");
  await expect(reading).toContainText("72 monthly payments, cash down 0.00");
  await expect(reading.locator("strong")).toHaveText("497.19");
  await expect(reading).toContainText("fits, 52.81 to spare");
  await page.keyboard.press("Shift+Enter");
  await expect(page.getByRole("region", { name: "Options" }).getByRole("listitem")).toHaveCount(2);
  await expect(deal.sentence).toContainText("72 monthly payments of $497.19");

  // A click moves the open option; it is one step to undo.
  const box = await map.boundingBox();
  if (!box) throw new Error("The map is not there.");
  await page.mouse.move(box.x + box.width / 2, box.y + 60);
  const there = await reading.locator("strong").textContent();
  await page.mouse.click(box.x + box.width / 2, box.y + 60);
  await expect(deal.sentence).toContainText(`$${there}`);
  await page.keyboard.press("Control+z");
  await expect(deal.sentence).toContainText("72 monthly payments of $497.19");

  await page.mouse.move(10, 10);
  await page.getByLabel("What the map shows").selectOption({ label: "APR" });
  await page.getByLabel("Up", { exact: true }).selectOption({ label: "yearly rate" });
  await expect(reading.locator("strong")).toHaveText("6.0000 %");
  await page.getByRole("button", { name: /^ranges/ }).click();
  const across = page.getByRole("group", { name: "Range of the number of payments" });
  await across.getByLabel("from").fill("80");
  await across.getByLabel("to").fill("70");
  await expect(page.getByText("The range must hold at least one step.")).toBeVisible();
  await across.getByLabel("to").fill("84");
  await page.getByLabel("What the map shows").selectOption({ label: "payment" });

  await page.getByRole("button", { name: "As figures" }).click();
  const grid = page.getByRole("region", { name: "The payment as figures" });
  await expect(grid.getByRole("columnheader", { name: "84" })).toBeVisible();
  await expect(grid.getByRole("columnheader")).toHaveCount(6);
  await page.getByRole("button", { name: "Copy for a spreadsheet" }).click();
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied.split("\n")[0]).toBe("yearly rate \\ number of payments\t80\t81\t82\t83\t84");
  await expectNoAxeFindings(page);
});

test("a lease has a map over its residual", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "40,000", "Yearly rate": "5.4", "Number of payments": "36" });
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "lease" });
  await deal.type({ Residual: "18,240" });
  await view(page, "Map").click();
  await page.getByLabel("Across", { exact: true }).selectOption({ label: "residual" });
  await expect(page.locator("figcaption")).toContainText("this deal: residual 18,240.00, cash down 0.00");
  const payment = await page.getByTestId("sentence").textContent();
  const read = await page.locator("figcaption strong").textContent();
  expect(payment).toContain(`$${read}`);
  await expect(page.getByLabel("What the map shows").getByRole("option")).toHaveText([
    "payment",
    "rent charge",
    "total cost, handed back",
    "due at signing",
  ]);
});

test("what a budget reaches: price by term, and the stock that fits, quoted in one step", async ({
  page,
}) => {
  await page.request.post("/api/stock", {
    data: {
      vehicles: [
        {
          description: "Reach van, stock 7001",
          priceMinor: 2_500_000,
          costMinor: null,
          listPriceMinor: null,
          currency: "USD",
        },
        {
          description: "Reach camper, stock 7002",
          priceMinor: 9_900_000,
          costMinor: null,
          listPriceMinor: null,
          currency: "USD",
        },
      ],
    },
  });
  const deal = await newDeal(page);
  await deal.type({ Customer: "Corin Wells", ...VAN });
  await view(page, "Reach").click();
  await expect(page.getByText("Type what the customer can pay.").first()).toBeVisible();
  await page.getByLabel("What the customer can pay a month").fill("500");
  const row = page.getByRole("region", { name: "Reach" }).getByRole("row").nth(2);
  await expect(row.getByLabel("Term 2: payments")).toHaveValue("60");
  await row.getByLabel("Term 2: rate").fill("6");
  // 500.00 a month over 60 months at 6 % is worth 25,862.78; a payment of 500.00 still pays a few cents more.
  await expect(row).toContainText(/25,86\d\.\d\d.*25,86\d\.\d\d/);
  await row.getByRole("button", { name: /in stock over 60/ }).click();
  await expect(page.getByText("Reach camper")).toHaveCount(0);
  await page.getByRole("button", { name: "Quote Reach van, stock 7001" }).click();
  await expect(deal.field("Price")).toHaveValue("25,000.00");
  await expect(page.getByLabel("Vehicle or purpose")).toHaveValue("Reach van, stock 7001");
  await expect(deal.sentence).toContainText("60 monthly payments of $483.32");

  await page.getByRole("button", { name: "Payment per 1,000" }).click();
  const sheet = page.getByRole("heading", { name: /Payment for each 1,000 financed/ });
  await expect(sheet).toBeVisible();
  await expect(page.getByRole("row", { name: /^6 %/ })).toContainText("19.33");
  await page.emulateMedia({ media: "print" });
  await expect(sheet).toBeVisible();
  await expect(deal.sentence).toBeHidden();
  await page.emulateMedia({ media: "screen" });
  await deal.saved();
  await page.reload();
  await view(page, "Reach").click();
  await expect(page.getByLabel("What the customer can pay a month")).toHaveValue("500.00");
});

test("stock is kept on a page of its own, and goes out and comes in as CSV", async ({ page }) => {
  await page.goto("/stock");
  await page.getByRole("button", { name: "Add a vehicle" }).click();
  await page.getByLabel("Description of the new vehicle").fill("Ostrel Mini van, stock 7100");
  await page.getByLabel("Asking price of the new vehicle").fill("abc");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "“abc” is not an amount" })).toBeVisible();
  await page.getByLabel("Asking price of the new vehicle").fill("18,250");
  await page.keyboard.press("Enter");
  const price = page.getByLabel("Asking price of Ostrel Mini van, stock 7100");
  await expect(price).toHaveValue("18,250.00");
  await page.getByRole("button", { name: "Show costs" }).click();
  await page.getByLabel("Cost to the dealer of Ostrel Mini van, stock 7100").fill("16,000");
  const saved = page.waitForResponse(
    answer => answer.url().includes("/api/stock") && answer.request().method() !== "GET",
  );
  await page.keyboard.press("Enter");
  expect((await saved).ok()).toBe(true);
  await page.reload();
  await expect(price).toHaveValue("18,250.00");
  await page.getByRole("button", { name: "Show costs" }).click();
  await expect(page.getByLabel("Cost to the dealer of Ostrel Mini van, stock 7100")).toHaveValue("16,000.00");

  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "CSV", exact: true }).click(),
  ]);
  const csv = await readFile(await download.path(), "utf8");
  expect(csv).toMatch(/^,"Ostrel Mini van, stock 7100",18250\.00,16000\.00,,,.*,USD\r$/m);
  const bringIn = (text: string) =>
    page.getByLabel("List of vehicles to import").setInputFiles({
      name: "stock.csv",
      mimeType: "text/csv",
      buffer: Buffer.from(text),
    });
  await bringIn("description,price\nNew trailer,9840\nWrong,x\n");
  await expect(page.getByRole("alert").filter({ hasText: "stock.csv" })).toContainText(
    "Line 3: the asking price “x” is not an amount",
  );
  await expect(page.getByLabel("Asking price of New trailer")).toHaveCount(0);
  await bringIn('description,price\nNew trailer,"9,840.50"\n"Ostrel Mini van, stock 7100",17900\n');
  await expect(page.getByLabel("Asking price of New trailer")).toHaveValue("9,840.50");
  await expect(price).toHaveValue("17,900.00");
  const vehicle = {
    description: "X",
    priceMinor: -1,
    costMinor: null,
    listPriceMinor: null,
    currency: "USD",
  };
  const refused = await page.request.post("/api/stock", { data: { vehicles: [vehicle] } });
  expect([refused.status(), await refused.json()]).toEqual([
    422,
    { error: "vehicles.0.priceMinor is -1; it must be minor units of the currency, 0 or more, or null." },
  ]);
  const nowhere = "/api/stock/00000000-0000-4000-8000-000000000009?version=1";
  expect((await page.request.put(nowhere, { data: { ...vehicle, priceMinor: 1 } })).status()).toBe(404);
  expect((await page.request.delete(nowhere)).status()).toBe(404);
  expect((await page.request.delete("/api/stock/none?version=1")).status()).toBe(404);
  await page.getByRole("button", { name: "Remove New trailer from stock" }).click();
  await expect(page.getByLabel("Asking price of New trailer")).toHaveCount(0);
  await expectNoAxeFindings(page);
});

test("what is typed into a line of the stock is kept where the page is left before the line", async ({
  page,
}) => {
  const vehicle = { description: "Left van, stock 7301", currency: "USD" };
  const none = { priceMinor: null, costMinor: null, listPriceMinor: null };
  await page.request.post("/api/stock", { data: { vehicles: [{ ...vehicle, ...none }] } });
  const stock = async () => (await page.request.get("/api/stock")).text();
  await page.goto("/stock");
  await page.getByLabel(`Asking price of ${vehicle.description}`).fill("12,500");
  await page.reload();
  await expect.poll(stock).toMatch(/"Left van, stock 7301","priceMinor":1250000/);
  await page.getByRole("button", { name: "Add a vehicle" }).click();
  await page.getByLabel("Description of the new vehicle").fill("Left trailer");
  await page.goto("/");
  await expect.poll(stock).toContain('"Left trailer"');
});
