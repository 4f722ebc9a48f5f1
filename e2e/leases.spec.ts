import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { type DealScreen, newDeal, openDeal } from "./officer";

/** A van of 40,000.00 leased over 36 months at 5.4 % a year, the first payment at signing. */
async function vanLease(page: Page): Promise<DealScreen> {
  const deal = await newDeal(page);
  await deal.type({ Price: "40,000", "Yearly rate": "5.4", "Number of payments": "36" });
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "lease" });
  await expect(deal.noAnswer).toContainText("The residual is missing.");
  // The tally is there before the answer.
  await expect(page.getByTestId("amount-financed")).toHaveText("40,000.00");
  await page.getByLabel("Reckoned", { exact: true }).selectOption({ label: "by money factor" });
  await expect(deal.field("Money factor")).toHaveValue("0.00225");
  await deal.type({ "Signed on": "24 Nov 2026", Residual: "18,240" });
  return deal;
}

test("a lease is structured: sentence, costs, due at signing, table down to the residual", async ({
  page,
}) => {
  const deal = await vanLease(page);
  await deal.type({ Customer: "Ysolde Marrable" });
  await expect(deal.sentence).toHaveText(
    "Drive it for 36 months at $735.48 a month, with $735.48 due at signing. Then hand it back, or buy it for $18,240.00. Using it costs $4,717.28 in rent and $21,760.00 in lost value.",
  );
  await page.getByRole("button", { name: "+ tax" }).click();
  await deal.type({ "Tax 1: name": "County tax", "Tax 1: rate": "6.25" });
  await page.getByRole("button", { name: "Done" }).click();
  await expect(deal.sentence).toContainText("at $781.45 a month, tax included");
  await expect(page.getByTestId("payment")).toHaveText("781.45");
  await expect(page.getByText("604.44 value + 131.04 rent + 45.97 tax")).toBeVisible();
  await expect(page.getByTestId("rentCharge")).toHaveText("4,717.28");
  await expect(page.getByText("implicit rate 5.43 % a year *")).toBeVisible();
  await expect(
    page.getByText("This percentage may not measure the overall cost of financing this lease."),
  ).toBeVisible();
  await expect(page.getByTestId("totalIfReturned")).toHaveText("28,132.20");

  // Fees, a deposit and what is due at signing.
  await page.getByRole("button", { name: "+ acquisition fee" }).click();
  await deal.type({ "Acquisition fee": "595" });
  await expect(page.getByTestId("amount-financed")).toHaveText("40,595.00");
  await page.getByLabel("How the acquisition fee is paid").selectOption({ label: "paid at signing" });
  await expect(page.getByTestId("amount-financed")).toHaveText("40,000.00");
  await expect(page.getByTestId("dueAtSigning")).toHaveText("1,376.45");
  await page.locator("summary", { hasText: "More: fees at the end" }).click();
  await page.getByRole("button", { name: "+ security deposit" }).click();
  await expect(page.getByTestId("dueAtSigning")).toHaveText("2,176.45");
  await expect(page.getByLabel("Items due at signing")).toContainText("security deposit800.00");
  await page.getByRole("button", { name: "+ distance" }).click();
  await deal.type({ "Expected a year": "15,000" });
  await expect(page.getByTestId("excess-distance")).toHaveText(
    "3,000 mi a year beyond it: 1,980.00 at the end",
  );

  // The table closes at the residual; the chart says so, too.
  const table = page.getByLabel("Repayment table");
  await expect(page.getByTestId("closes")).toHaveText("Closes at 18,240.00");
  await page.getByRole("button", { name: /^Chart/ }).click();
  await expect(page.getByRole("img", { name: /from 40,000.00 at signing down to 18,240.00/ })).toBeVisible();
  await expect(table.getByRole("row").nth(3)).toContainText("177.53");
  await expect(table.getByRole("row").last()).toContainText("36 payments");
  await page.getByRole("button", { name: "All 36" }).click();
  await expect(page.getByTestId("repayment-line")).toHaveText(
    "36 monthly payments of $781.45, from $40,000.00 down to $18,240.00, cost $4,717.28 in rent.",
  );
  await page.getByLabel("After payment, of 36").fill("24");
  await expect(page.getByRole("region", { name: "Ending early" })).toContainText("Payments left12");
  await page.getByRole("button", { name: "Desk", exact: true }).click();

  await deal.saved();
  await page.reload();
  await deal.ready();
  await expect(page.getByTestId("dueAtSigning")).toHaveText("2,176.45");
  await page.goto("/?search=Marrable");
  await expect(page.getByRole("row", { name: /Ysolde Marrable.* 781\.45/ })).toBeVisible();
});

test("the residual is found for a payment, then for another figure; what has no answer says why", async ({
  page,
}) => {
  const deal = await vanLease(page);
  await page.getByLabel("Make it", { exact: true }).fill("700");
  await page.getByRole("button", { name: "Find residual" }).click();
  await expect(deal.findBar).toContainText("Finding the residual");
  await expect(deal.field("Residual (being found)")).toHaveValue("19,629.84");
  await expect(deal.sentence).toContainText("at $700.00 a month");
  await expect(deal.sentence.locator(".found")).toHaveText("$19,629.84");
  await deal.findBar.getByRole("button", { name: "Working of the residual" }).click();
  await expect(page.getByRole("region", { name: "Working of the residual" })).toContainText(
    "the last residual whose payment does not pass the one asked for",
  );
  await page.keyboard.press("Escape");

  await page.getByLabel("Found from which figure").selectOption({ label: "total if handed back" });
  const known = deal.field("What it is found from");
  await expect(known).toHaveValue("25,200.00");
  await known.fill("24,480");
  await expect(deal.sentence).toContainText("at $680.00 a month");

  await page.getByRole("button", { name: "find more" }).click();
  await page.getByRole("button", { name: "Find rate" }).click();
  await page.getByLabel("Found from which figure").selectOption({ label: "payment with tax" });
  await known.fill("100");
  await expect(deal.noAnswer).toContainText("No money factor gives a payment of 100.00; the least is");
  await page.getByRole("button", { name: /^Use payment/ }).click();
  await expect(deal.field("Money factor (being found)")).toHaveValue("0");
  await deal.saved();
});

test("a loan is turned into a lease and back, and each comes back as it was", async ({ page }) => {
  const deal = await openDeal(page, "Corisande Bly", "Larkmoor Fold");
  const asLoan = await deal.sentence.textContent();
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "lease" });
  // A balloon of 30 % is the residual of the first lease.
  await expect(deal.field("Residual")).toHaveValue("30");
  await expect(deal.sentence).toContainText("Drive it for 48 months");
  await deal.type({ "Number of payments": "36", Residual: "40 %" });
  const asLease = await deal.sentence.textContent();
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "level payments" });
  await expect(deal.sentence).toHaveText(asLoan ?? "");
  await deal.saved();
  await page.reload();
  await deal.ready();
  await expect(deal.sentence).toHaveText(asLoan ?? "");
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "lease" });
  await expect(deal.sentence).toHaveText(asLease ?? "");
  // A personal loan is no lease.
  await openDeal(page, "Bram Teasel", "Kitchen refit");
  await expect(page.getByLabel("Kind", { exact: true }).locator("option")).toHaveText([
    "level payments",
    "equal principal",
    "flat rate",
    "listed payments",
  ]);
});

test("each figure shows its working; ending early tells what it costs; the table downloads", async ({
  page,
}) => {
  const deal = await openDeal(page, "Rosalind Tarbet", "Ostrel U3");
  await expect(deal.sentence).toBeVisible();
  const workings = page.getByRole("button", { name: /^Working of the/ });
  const names = await workings.evaluateAll(buttons =>
    buttons.map(button => button.getAttribute("aria-label")),
  );
  expect(names).toEqual([
    "Working of the adjusted capitalized cost",
    "Working of the due at signing",
    "Working of the yearly rate",
    "Working of the implicit yearly rate",
    "Working of the residual",
    "Working of the payment",
    "Working of the payment",
    "Working of the rent in all",
    "Working of the lost value",
    "Working of the total if handed back",
    "Working of the total of payments",
    "Working of the total if bought",
  ]);
  for (const [index, name] of names.entries()) {
    await workings.nth(index).click();
    await expect(page.getByRole("region", { name: name ?? "" })).toContainText("=");
    await page.keyboard.press("Escape");
  }
  await page.getByRole("button", { name: /^Ending early/ }).click();
  const early = page.getByRole("region", { name: "Ending early" });
  await early.getByLabel("After payment, of 36").fill("24");
  await early.getByLabel("What it brings when handed back").fill("21,000");
  await expect(early).toContainText("Payments left12");
  await expect(early).toContainText("To buy it then, with fee25,690.58");
  await expect(early).toContainText("To hand it back then4,740.58");
  await early.getByLabel("After payment, of 36").fill("99");
  await expect(early).toContainText("it can end early after 1 to 36 of them");

  const [csv] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "CSV", exact: true }).click(),
  ]);
  const lines = (await readFile(await csv.path(), "utf8")).split("\r\n");
  expect(lines[0]).toBe("Number,Date,Payment,Rent,Depreciation,Tax,Balance,Kind");
  expect(lines.at(-3)).toContain("18246.60,residual due");
});

test("a lease in a place that compares credit by it has the effective rate", async ({ page }) => {
  await openDeal(page, "Emmeric Sloane", "Larkmoor 240");
  await page.getByLabel("Formats").selectOption({ label: "formats: Germany" });
  await expect(page.getByText("effective rate 10,49 % a year *")).toBeVisible();
  await expect(page.getByTestId("payment")).toHaveText("26.477,44");
});

test("a lease is made with the keyboard alone", async ({ page }) => {
  const deal = await newDeal(page);
  const typeInto = async (label: string, text: string) => {
    for (let step = 0; step < 80; step++) {
      const name = await page.evaluate(() => {
        const element = document.activeElement as HTMLInputElement | null;
        return element?.labels?.[0]?.textContent ?? element?.getAttribute("aria-label") ?? "";
      });
      if (name === label) return page.keyboard.type(text);
      await page.keyboard.press("Tab");
    }
    throw new Error(`Tab never reached ${label}.`);
  };
  await typeInto("Price", "40000");
  await typeInto("Yearly rate", "5.4");
  await typeInto("Number of payments", "36");
  // From level payments past equal principal and flat rate to the lease; the focus stays where it was.
  await typeInto("Kind", "");
  for (let step = 0; step < 3; step++) await page.keyboard.press("ArrowDown");
  await expect(page.getByLabel("Kind", { exact: true })).toHaveValue("lease");
  await expect(page.getByLabel("Kind", { exact: true })).toBeFocused();
  await typeInto("Residual", "18240");
  await expect(deal.sentence).toContainText("buy it for $18,240.00");
  // A question mark in a field finds its figure.
  await page.keyboard.press("?");
  await expect(deal.findBar).toContainText("Finding the residual");
  await deal.saved();
});

test("a lease has no findings, in the light and in the dark: with a tax open, its parts and ending early", async ({
  page,
}) => {
  const deal = await openDeal(page, "Rosalind Tarbet", "Ostrel U3");
  await expect(deal.sentence).toBeVisible();
  await expectNoAxeFindings(page);
  await page.getByRole("button", { name: "Change Marrow County tax" }).click();
  await expect(page.getByLabel("Tax 1: name")).toBeFocused();
  await page.locator("summary", { hasText: "when handed back" }).click();
  await page.getByRole("button", { name: /^Ending early/ }).click();
  await page.getByRole("button", { name: /^Chart/ }).click();
  await expect(page.getByRole("img", { name: /What the vehicle still stands for/ })).toBeVisible();
  await expectNoAxeFindings(page);
});
