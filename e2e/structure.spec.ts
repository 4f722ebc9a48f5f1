import { expect, type Page, test } from "@playwright/test";
import { DealScreen, newDeal, openDeal } from "./officer";

/** Adds a line and names it; its editor stays open. */
async function addLine(page: Page, kind: string, name: string): Promise<void> {
  await page.getByRole("button", { name: `+ ${kind}`, exact: true }).click();
  // What the house usually has is offered first.
  if (["tax", "fee", "extra"].includes(kind))
    await page.getByRole("button", { name: `+ another ${kind}` }).click();
  await page.getByLabel(/: name$/).fill(name);
}

const done = (page: Page) => page.getByRole("button", { name: "Done" }).click();
const financed = (page: Page) => page.getByTestId("amount-financed");

test("a long structure is typed line by line, answered at each, and opens again as it was", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "41,850", "Yearly rate": "6.49", "Number of payments": "72" });
  await deal.type({ "Trade-in allowance": "9,200", "Owed on trade-in": "11,050", "Cash down": "3,000" });
  await expect(financed(page)).toHaveText("40,700.00");

  await addLine(page, "tax", "County tax");
  await page.getByLabel("Tax 1: rate").fill("6.25");
  await page.getByLabel("Trade-in credited").check();
  await done(page);
  await addLine(page, "fee", "Documents");
  await page.getByLabel("Fee 1", { exact: true }).fill("299");
  await page.getByLabel("Taxed").check();
  await done(page);
  await addLine(page, "fee", "Origination");
  await page.getByLabel("Fee 2", { exact: true }).fill("1.5 %");
  await page.getByLabel("Counts in the finance charge").check();
  await done(page);
  await addLine(page, "extra", "Service contract");
  await page.getByLabel("Extra 1", { exact: true }).fill("1,890");
  await done(page);
  await addLine(page, "rebate", "Maker's rebate");
  await page.getByLabel("Rebate 1", { exact: true }).fill("1,800");
  await done(page);
  await page.getByRole("button", { name: "+ deposit" }).click();
  await page.getByLabel("Deposit paid", { exact: true }).fill("500");

  // Worked out by hand: tax 2,059.31, origination 649.47, loan amount 43,297.78.
  await expect(financed(page)).toHaveText("42,648.31");
  await expect(deal.sentence).toContainText("$43,297.78 over 72 monthly payments of $727.63");
  await expect(page.getByTestId("financeCharge")).toHaveText("9,740.79");
  await expect(page.getByTestId("apr")).toHaveText("7.0252 %");
  await expect(page.getByTestId("dueAtSigning")).toHaveText("3,000.00");
  await expect(page.getByTestId("totalCost")).toHaveText("54,039.10");

  // What the tally leads to stays in view, with the sentence, the rate and the number of payments.
  for (const seen of [
    financed(page),
    deal.sentence,
    deal.field("Yearly rate"),
    deal.field("Number of payments"),
  ])
    await expect(seen).toBeInViewport({ ratio: 1 });

  await page.getByRole("button", { name: "Change County tax" }).click();
  const how = page.getByLabel("How the tax comes about");
  for (const text of ["Documents", "299.00", "− 9,200.00", "32,949.00", "2,059.31"])
    await expect(how).toContainText(text);

  await deal.saved();
  await page.reload();
  await new DealScreen(page).ready();
  await expect(financed(page)).toHaveText("42,648.31");
  await page.getByRole("button", { name: "Change Origination" }).click();
  await page.getByRole("button", { name: "Remove" }).click();
  await expect(page.getByText("Origination")).toHaveCount(0);
  // Without it the loan is the amount financed: 41,850 + 2,059.31 + 299 + 1,890 − 1,800 − 9,200 + 11,050 − 500 − 3,000.
  await expect(financed(page)).toHaveText("42,648.31");
  await expect(page.getByText("less prepaid finance charge")).toHaveCount(0);
});

test("what is typed in a line that cannot be is said there", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "20,000", "Yearly rate": "6", "Number of payments": "48" });
  await addLine(page, "tax", "Sales tax");
  await page.getByLabel("Tax 1: rate").fill("625");
  await expect(page.getByText("“625” is not a percent; type one from 0 to 100, such as 6.25.")).toBeVisible();
  await page.getByLabel("Tax 1: rate").fill("6.25");
  await expect(financed(page)).toHaveText("21,250.00");
  await page.getByLabel("Tax 1: name").fill("");
  await expect(page.getByText("Each line has a name, which goes onto papers.")).toBeVisible();
});

test("groups fold, what falls with payments has its column, and what is due at signing is a list", async ({
  page,
}) => {
  await openDeal(page, "Hesper Vale", "");
  await expect(page.getByRole("columnheader", { name: "Charges" })).toBeVisible();
  await expect(page.getByRole("cell", { name: "270.00" })).toBeVisible();
  await page.getByRole("button", { name: "Working of the due at signing" }).click();
  const due = page.getByRole("region", { name: "Working of the due at signing" });
  for (const item of ["3,886.50", "150.00", "184.50"]) await expect(due).toContainText(item);
  await expect(page.getByLabel("Trade-in 2: still owed")).toHaveValue("8,250.00");
  await expect(page.getByLabel("Fee 1", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Fees" }).click();
  await expect(page.getByLabel("Fee 1", { exact: true })).toHaveCount(0);
  await expect(page.getByText("Documents, Title and plates, Account fee")).toBeVisible();
  // 7,400.00 and 6,100.00 are allowed, 8,250.00 is owed.
  const tradeIns = page.getByRole("button", { name: "Trade-ins, less owed" });
  await expect(page.getByText("5,250.00", { exact: true })).toBeVisible();
  await tradeIns.click();
  await expect(page.getByLabel("Trade-in 2: still owed")).toHaveCount(0);
  await expect(page.getByText("Ostrel U1, 2017, Larkmoor Fold, 2018")).toBeVisible();
  await tradeIns.click();
  await expect(page.getByLabel("Trade-in 2: still owed")).toHaveValue("8,250.00");
});

test("a line that every structure has is renamed, and called so wherever it is named", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "20,000", "Yearly rate": "6", "Number of payments": "48", "Cash down": "2,000" });
  await page.getByRole("button", { name: "Rename Cash down" }).click();
  await expect(deal.field("Name of the line: down")).toBeFocused();
  await page.keyboard.type("Cash with the order");
  await page.keyboard.press("Escape");
  await expect(deal.field("Cash with the order")).toHaveValue("2,000.00");
  await page.getByRole("button", { name: "Working of the due at signing" }).click();
  await expect(page.getByRole("region", { name: "Working of the due at signing" })).toContainText(
    "Cash with the order",
  );
  await page.keyboard.press("Escape");
  await deal.saved();
  await page.reload();
  await deal.ready();
  await page.getByRole("button", { name: "Rename Cash with the order" }).click();
  await page.getByRole("button", { name: "Call it Cash down" }).click();
  await expect(deal.field("Cash down")).toHaveValue("2,000.00");
});

test("a cash down is given as a percent of everything, or as what is left of a sum due at signing", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "20,000", "Yearly rate": "6", "Number of payments": "48", "Cash down": "2,000" });
  await addLine(page, "fee", "Title");
  await page.getByLabel("Fee 1", { exact: true }).fill("150");
  await page.getByLabel("Paid", { exact: true }).selectOption("at signing");
  await done(page);
  await expect(page.getByTestId("dueAtSigning")).toHaveText("2,150.00");
  const way = page.getByLabel("How the cash down is given");
  await way.selectOption("from a sum at signing");
  await expect(deal.field("Cash down")).toHaveValue("2,150.00");
  await deal.type({ "Cash down": "3,000" });
  await expect(financed(page)).toHaveText("17,150.00");
  await deal.type({ "Cash down": "100" });
  await expect(deal.noAnswer).toContainText(
    "The 100.00 due at signing do not pay for what else is due that day",
  );
  await deal.type({ "Cash down": "3,000" });
  await way.selectOption("as % of everything");
  await deal.type({ "Cash down": "10" });
  await expect(financed(page)).toHaveText("17,985.00");
});

test("a personal loan has a purpose, pays debts off and keeps a fee back", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "12,000", "Yearly rate": "9.9", "Number of payments": "48" });
  await page.getByRole("button", { name: "make it a personal loan" }).click();
  await page.getByLabel("Purpose", { exact: true }).fill("Kitchen refit");
  await addLine(page, "fee", "Origination");
  await page.getByLabel("Fee 1", { exact: true }).fill("2%");
  await page.getByLabel("Paid", { exact: true }).selectOption("kept back from the loan");
  await page.getByLabel("Counts in the finance charge").check();
  await done(page);
  await addLine(page, "debt paid off", "Card");
  await page.getByLabel("Debt 1", { exact: true }).fill("2,400");
  await done(page);
  await expect(deal.sentence).toContainText(
    "Kitchen refit: for $12,000.00 asked for, borrow $12,000.00, of which $9,360.00 is paid out,",
  );
  await expect(financed(page)).toHaveText("11,760.00");
  await page.getByLabel("Debt 1", { exact: true }).fill("12,400");
  await expect(deal.noAnswer).toContainText("come to 640.00 more than the amount asked for");
});

test("a fee is added, filled in and closed by the keyboard alone", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "20,000", "Yearly rate": "6", "Number of payments": "48" });
  await page.getByRole("button", { name: "+ fee" }).focus();
  await page.keyboard.press("Enter");
  // The house's usual fees come first, then another.
  await expect(page.getByRole("button", { name: "+ Documents" })).toBeFocused();
  for (let fee = 0; fee < 4; fee++) await page.keyboard.press("Tab");
  await page.keyboard.press("Enter");
  // The new line's name has the focus, all of it chosen.
  await expect(page.getByLabel("Fee 1: name")).toBeFocused();
  await page.keyboard.type("Plates");
  // Back past the line's own words to its figure.
  await page.keyboard.press("Shift+Tab");
  await expect(page.getByLabel("Fee 1", { exact: true })).toBeFocused();
  await page.keyboard.type("85");
  await expect(financed(page)).toHaveText("20,085.00");
  await page.keyboard.press("Tab");
  await expect(page.getByLabel("Fee 1: name")).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(page.getByLabel("Fee 1: name")).toHaveCount(0);
  await deal.saved();
});
