import { randomUUID } from "node:crypto";
import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { DealScreen, newDeal, newDealFromRegister, openDeal, VAN, view } from "./officer";

test("a new deal is quoted as it is typed, and is there again after a reload", async ({ page }) => {
  const deal = await newDealFromRegister(page);
  // The rate and the term are the house's.
  await expect(deal.noAnswer).toContainText("The price is missing.");
  await deal.type({ "Yearly rate": "", "Number of payments": "" });
  await expect(deal.noAnswer).toContainText(
    "The price, the yearly rate and the number of payments are missing.",
  );
  await deal.type({ Customer: "Maud Pellerin", ...VAN, "Contract date": "2026-11-24" });
  // 30,000 × 0.005 ÷ (1 − 1.005^−60) = 579.984…
  await expect(deal.sentence).toHaveText(
    "At a price of $30,000.00 with $0.00 cash down, finance $30,000.00 over 60 monthly payments of $579.98, " +
      "the first on December 24, 2026, at 6 %. It costs $4,799.09 to finance; the last payment is $580.27.",
  );
  await expect(page.getByTestId("totalCost")).toHaveText("34,799.09");
  await expect(page.getByTestId("apr")).toHaveText("6.0000 %");
  await deal.saved();
  await page.reload();
  await expect(page.getByLabel("Customer")).toHaveValue("Maud Pellerin");
  await expect(deal.field("Price")).toHaveValue("30,000.00");
  await expect(deal.sentence).toContainText("60 monthly payments of $579.98");
});

test("bargaining: a payment asked for, the price it affords, the cash down it needs, and back", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type(VAN);
  await page.getByLabel("Make it").fill("550");
  await page.getByRole("button", { name: "Find price" }).click();
  // 550 ÷ 0.0193328… : the largest price whose payment rounds to 550.00 at most.
  await expect(deal.field("Price (being found)")).toHaveValue("28,449.31");
  await expect(deal.sentence).toContainText("60 monthly payments of $550.00");

  await deal.sentence.getByRole("button", { name: "$0.00" }).click();
  await expect(deal.findBar).toContainText("Finding the cash down");
  await page.getByLabel("Price", { exact: true }).fill("30000");
  await expect(deal.field("Cash down (being found)")).toHaveValue("1,550.69");

  await deal.sentence.getByRole("button", { name: "$550.00" }).click();
  await expect(deal.findBar).toContainText("Finding the payment");
  await expect(deal.sentence).toContainText("with $1,550.69 cash down");
});

test("one figure wears the mark of the found one, and a question mark in a field moves it there", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type(VAN);
  const marked = deal.sentence.locator(".found");
  await expect(marked).toHaveText("$579.98");
  await deal.field("Price").press("?");
  await expect(marked).toHaveCount(1);
  await expect(marked).toHaveText(/^\$30,000\.\d\d$/);
  await expect(page.locator("input.found")).toHaveCount(1);
  await deal.findBar.getByLabel("Payment").press("?");
  await expect(marked).toHaveText("$579.98");
});

test("an owed trade-in adds to the loan and the screen says so; percent and amount down agree", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN, "Trade-in allowance": "5,000", "Owed on trade-in": "6,500", "Cash down": "10%" });
  await expect(page.getByText("1,500.00 over its worth: adds to the loan")).toBeVisible();
  await expect(page.getByTestId("amount-financed")).toHaveText("28,500.00");
  await page.getByLabel("How the cash down is given").selectOption("as an amount");
  await expect(deal.field("Cash down")).toHaveValue("3,000.00");
  await expect(page.getByText("10.0 % of the price")).toBeVisible();
});

test("a question without an answer says why, greys the last answer and offers what works", async ({
  page,
}) => {
  await openDeal(page, "Tobiah Quarles", "Larkmoor Coast");
  // The demo's own deal stays as other tests expect it.
  const { document } = await (await page.request.get(page.url().replace("/deals/", "/api/deals/"))).json();
  const copy = {
    document: { ...document, customer: { ...document.customer, id: randomUUID(), name: "Ivo Harrowgate" } },
  };
  const made = await page.request.post("/api/deals", { data: copy });
  await page.goto(`/deals/${(await made.json()).id}`);
  const deal = await new DealScreen(page).ready();
  await expect(deal.noAnswer).toContainText("No price gives a payment of 85.00");
  await page.getByRole("button", { name: "Use payment $151.71" }).click();
  await expect(deal.sentence).toContainText("payments of $151.71");
  await deal.findBar.getByLabel("Payment").fill("85");
  await expect(deal.noAnswer).toContainText("The last answer is grayed below.");
  await expect(deal.sentence).toHaveClass(/stale/);
  await expect(deal.sentence).toContainText("$151.71");
});

test("what cannot be read says so where it was typed; the rest is saved", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN, "Yearly rate": "6.4x" });
  const rate = deal.field("Yearly rate");
  await expect(rate).toHaveAttribute("aria-invalid", "true");
  await expect(rate).toHaveAccessibleDescription(/“6\.4x” is not a yearly rate/);
  await expect(deal.status).toHaveText("Saved, but for what cannot be read");
  await page.getByLabel("Contract date", { exact: true }).fill("2026-11-24");
  await page.getByLabel("First payment", { exact: true }).fill("2026-11-01");
  await rate.fill("6");
  await expect(page.getByText("must come after the contract date").first()).toBeVisible();
});

test("each cost shows its working", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN, "Cash down": "2000" });
  await page.getByRole("button", { name: "Working of the finance charge" }).click();
  const working = page.getByRole("region", { name: "Working of the finance charge" });
  await expect(working).toContainText("total of payments − amount financed");
  await expect(working).toContainText("30,000.00 − 2,000.00");
  // Several stay open, and follow the deal while it is changed.
  await page.getByRole("button", { name: "Working of the due at signing" }).click();
  await deal.type({ "Cash down": "2500" });
  await expect(working).toContainText("30,000.00 − 2,500.00");
  await expect(page.getByRole("region", { name: "Working of the due at signing" })).toContainText("2,500.00");
  await page.getByRole("button", { name: "Working of the finance charge" }).press("Escape");
  await expect(working).toBeHidden();
  await expect(page.getByRole("button", { name: "Working of the finance charge" })).toBeFocused();
});

test("the repayment table keeps its headings and totals in view, follows the term and closes", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN, "Number of payments": "480" });
  const table = page.getByRole("region", { name: "Repayment table" });
  await expect(page.getByTestId("closes")).toContainText("principal adds up to 30,000.00");
  // The desk has the first year: head, start, twelve payments and the totals of all.
  await expect(table.getByRole("row")).toHaveCount(15);
  await table.evaluate(element => element.scrollTo({ top: element.scrollHeight }));
  await expect(table.getByRole("columnheader", { name: "Principal" })).toBeInViewport();
  await expect(table.getByRole("rowheader", { name: "480 payments" })).toBeInViewport();
  await page.getByRole("button", { name: "All 480" }).click();
  await page.getByLabel("Go to payment").fill("480");
  await expect(table.getByText("last, adjusted")).toBeInViewport();
  await expect(table.getByRole("columnheader", { name: "Principal" })).toBeInViewport();
  await expect(table.getByRole("rowheader", { name: "480 payments" })).toBeInViewport();
  // Only what is in view is drawn.
  expect(await table.getByRole("row").count()).toBeLessThan(90);

  await view(page, "Desk").click();
  await deal.type({ "Number of payments": "3" });
  await expect(table.getByRole("row")).toHaveCount(6);
  await expect(table.getByRole("row").nth(1)).toContainText("amount financed");
});

test("the table downloads as CSV and the deal as a file that can be dropped in again", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Orla Quillfeather", ...VAN, "Contract date": "2026-11-24" });
  await deal.saved();
  const [csv] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "CSV", exact: true }).click(),
  ]);
  expect(csv.suggestedFilename()).toBe("Orla Quillfeather repayment.csv");
  const lines = (await readFile(await csv.path(), "utf8")).split("\r\n");
  expect(lines).toHaveLength(64);
  expect(lines[2]).toBe("1,2026-12-24,579.98,150.00,429.98,29570.02,payment");
  expect(lines[62]).toBe("Total,,34799.09,4799.09,30000.00,0.00,");

  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export deal" }).click(),
  ]);
  expect(file.suggestedFilename()).toBe("Orla Quillfeather.deal.json");
  const text = await readFile(await file.path(), "utf8");
  const { customer, ...unnamed } = JSON.parse(text);
  expect(customer).toBe("Orla Quillfeather");
  await page.goto("/");
  await page.getByLabel("Deal files").setInputFiles([
    { name: "Orla Quillfeather.deal.json", mimeType: "application/json", buffer: Buffer.from(text) },
    {
      name: "Bram Ottershaw.deal.json",
      mimeType: "application/json",
      buffer: Buffer.from(JSON.stringify(unnamed)),
    },
    {
      name: "broken.deal.json",
      mimeType: "application/json",
      buffer: Buffer.from('{"format":"kellux-deal"}'),
    },
  ]);
  await expect(page.getByText("2 deals were imported.")).toBeVisible();
  await expect(page.getByText("broken.deal.json: version is missing.")).toBeVisible();
  await expect(page.getByRole("row", { name: /Orla Quillfeather/ })).toHaveCount(2);
  await expect(page.getByRole("row", { name: /Bram Ottershaw.* 579\.98/ })).toHaveCount(1);
});

test("a deal file of another shape reads truthfully, and its found figure is kept when another is found", async ({
  page,
}) => {
  const file = {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "30000.00" },
    plan: {
      kind: "loan",
      frequency: "everyTwoWeeks",
      compounding: "yearly",
      payments: 104,
      signed: "2026-11-24",
      payment: "230.00",
      balloon: { amount: "9000.00" },
      extra: { once: [{ date: "2026-12-20", amount: "1000.00" }] },
    },
    find: "yearlyRate",
  };
  await page.goto("/");
  await page.getByLabel("Deal files").setInputFiles([
    {
      name: "Ottoline Farrow.deal.json",
      mimeType: "application/json",
      buffer: Buffer.from(JSON.stringify(file)),
    },
  ]);
  await page
    .getByRole("row", { name: /Ottoline Farrow/ })
    .getByRole("link")
    .click();
  const deal = await new DealScreen(page).ready();
  await expect(deal.sentence).toContainText("over 104 two-weekly payments of $230.00");
  await expect(deal.sentence).toContainText("is left to pay at the end");
  await expect(deal.sentence).toContainText("Extra payments save");
  await expect(deal.findBar).toContainText("Finding the yearly rate");
  const rate = await deal.field("Yearly rate (being found)").inputValue();
  expect(Number(rate)).toBeGreaterThan(3);
  await expect(page.getByLabel("Interest compounded")).toHaveValue("yearly");
  await expect(deal.field("Balloon")).toHaveValue("9,000.00");
  await expect(page.getByRole("row", { name: /Dec 20, 2026 ?extra/ })).toContainText("1,000.00");
  await expect(page.getByTestId("closes")).toContainText("Closes: principal adds up to 30,000.00");

  await page.getByRole("button", { name: "Find payment" }).click();
  await expect(deal.findBar).toContainText("Finding the payment");
  await expect(deal.field("Yearly rate")).toHaveValue(rate);
  await expect(deal.sentence).toContainText("payments of $230.00");
  await deal.saved();
});

test("a stock vehicle brings its asking price", async ({ page }) => {
  const deal = await newDeal(page);
  const heading = async () => {
    const answer = await page.request.get(page.url().replace("/deals/", "/api/deals/"));
    return (await answer.json()).document;
  };
  const vehicle = page.getByLabel("Vehicle or purpose");
  // Typed alone it is no vehicle of the stock, though one is called so.
  await vehicle.fill("Ostrel Single boat trailer");
  await expect(page.getByRole("listbox", { name: "What is known" }).getByRole("option")).toHaveText([
    /no\. 3314 · 2026 · new · 4,275\.00$/,
  ]);
  await expect(deal.field("Price")).toHaveValue("");
  await vehicle.press("ArrowDown");
  await vehicle.press("Enter");
  await expect(deal.field("Price")).toHaveValue("4,275.00");
  await expect(page.getByRole("listbox", { name: "What is known" }).getByRole("option")).toHaveCount(0);
  // A slip that is taken back leaves the vehicle what it was.
  const inStock = (await (await page.request.get("/api/stock")).json()).vehicles;
  const { id } = inStock.find((each: { stockNumber: string }) => each.stockNumber === "3314");
  const kept = async () => (await heading()).vehicle?.id === id;
  await expect.poll(kept).toBe(true);
  await vehicle.fill("Ostrel Single boat trailers");
  await expect.poll(kept).toBe(false);
  await vehicle.fill("Ostrel Single boat trailer");
  await expect.poll(kept).toBe(true);
});
