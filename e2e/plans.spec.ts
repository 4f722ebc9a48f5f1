import { expect, type Page, test } from "@playwright/test";
import { DealScreen, newDeal, openDeal, VAN } from "./officer";

/** Opens the rare parts of the plan and adds one. */
async function addPart(page: Page, name: string): Promise<void> {
  const button = page.getByRole("button", { name: `+ ${name}`, exact: true });
  if (!(await button.isVisible())) await page.getByText(/^More: balloon/).click();
  await button.click();
}

test("each kind of plan is one step away, says itself aloud and keeps the figures", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type(VAN);
  await expect(deal.sentence).toContainText("over 60 monthly payments of $579.98");
  const kind = page.getByLabel("Kind", { exact: true });
  await kind.selectOption("equal principal");
  await expect(deal.sentence).toContainText("over 60 monthly payments falling from $650.00");
  await kind.selectOption("flat rate");
  // 30,000 and five years of 6 % of it, over 60 payments.
  await expect(deal.sentence).toContainText("over 60 monthly payments of $650.00");
  await expect(deal.sentence).toContainText("at 6 % flat, a true yearly rate of 10.85 %");
  await kind.selectOption("level payments");
  await expect(deal.sentence).toContainText("over 60 monthly payments of $579.98");
  await page.getByLabel("How often").selectOption("every two weeks");
  await expect(deal.field("Number of payments")).toHaveValue("130");
  await expect(page.getByText("5 years", { exact: true })).toBeVisible();
  await page.getByLabel("How often").selectOption("twice a month");
  await deal.type({ "Contract date": "24 Nov 2026", "Two days of the month": "5, 20" });
  await expect(deal.sentence).toContainText("the first on December 5, 2026");
  await deal.type({ "Two days of the month": "often" });
  await expect(
    page.getByText("“often” is not two days of the month; type two such as 1 and 16."),
  ).toBeVisible();
});

test("a balloon, an interest-only start and a rounding step stay in view until they are taken out", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type(VAN);
  await addPart(page, "balloon");
  await deal.field("Balloon").fill("30 %");
  await expect(deal.sentence).toContainText("$9,000.00 is left to pay at the end");
  await addPart(page, "interest-only start");
  await expect(deal.sentence).toContainText("the first 6 just interest, then");
  await addPart(page, "rounding step");
  await deal.field("Rounded in steps of").fill("5");
  await expect(deal.sentence).toContainText(/then \$\d+[05]\.00,/);
  await deal.saved();
  await page.reload();
  await new DealScreen(page).ready();
  await expect(deal.field("Balloon")).toHaveValue("30");
  await page.getByRole("button", { name: "Remove: balloon" }).click();
  await expect(deal.field("Balloon")).toHaveCount(0);
  await expect(deal.sentence).not.toContainText("left to pay at the end");
  await deal.field("Just interest at first").fill("0");
  await expect(page.getByText("“0” is not a number of payments; type one from 1 to 1,200.")).toBeVisible();
});

test("steps are edited in place: Enter adds one, Delete in an empty field takes one out", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type(VAN);
  await addPart(page, "steps");
  await deal.field("Step 1: changes to, or by").fill("+10 %");
  await deal.field("Step 1: from payment").fill("25");
  await deal.field("Step 1: from payment").press("Enter");
  await expect(deal.field("Step 2: from payment")).toBeFocused();
  await expect(deal.field("Step 2: from payment")).toHaveValue("37");
  await deal.field("Step 2: changes to, or by").fill("500");
  await expect(deal.sentence).toContainText("The payment changes from payment 25 and 37 on.");
  await expect(page.getByRole("row", { name: /500\.00 remove|: 500\.00/ })).toBeVisible();
  await deal.field("Step 2: from payment").fill("");
  await deal.field("Step 2: from payment").press("Delete");
  await expect(deal.field("Step 2: from payment")).toHaveCount(0);
  await expect(deal.sentence).toContainText("The payment changes from payment 25 on.");
  await deal.field("Step 1: changes to, or by").fill("soon");
  await expect(
    page.getByText("“soon” is neither an amount nor a percent; type one such as 700 or +5 %."),
  ).toBeVisible();
});

test("months are skipped, payments are listed, and extras fall on a date", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type(VAN);
  await addPart(page, "skipped months");
  await page.getByLabel("Jul", { exact: true }).check();
  await expect(deal.sentence).toContainText("On 10 of the dates nothing is paid.");
  await page.getByRole("button", { name: "Remove: skipped months" }).click();
  await addPart(page, "extra with every payment");
  await deal.field("Extra with every payment").fill("50");
  await expect(deal.sentence).toContainText("Extra payments save");
  await page.getByRole("button", { name: "Remove: extra with every payment" }).click();
  await page.getByLabel("Kind", { exact: true }).selectOption("listed payments");
  await page.getByRole("button", { name: "+ another payment" }).click();
  await page.getByLabel("Payment 2: amount").fill("15,000");
  await expect(deal.sentence).toContainText("over 2 listed payments");
});

test("what a kind of plan cannot have is said, and taken out", async ({ page }) => {
  const deal = await openDeal(page, "Hedda Morrow", "");
  await page.getByLabel("Kind", { exact: true }).selectOption("flat rate");
  await expect(deal.noAnswer).toContainText("steps");
  await expect(deal.sentence).toHaveClass(/stale/);
  await page.getByLabel("Kind", { exact: true }).selectOption("level payments");
  await expect(deal.sentence).not.toHaveClass(/stale/);
});

test("dates are typed as people say them, or picked from a small calendar", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN, "Contract date": "24 Nov 2026" });
  await expect(deal.sentence).toContainText("the first on December 24, 2026");
  await deal.type({ "First payment": "+6 weeks" });
  await expect(deal.sentence).toContainText("the first on January 5, 2027");
  await deal.field("First payment").blur();
  await expect(deal.field("First payment")).toHaveValue("Jan 5, 2027");
  await deal.type({ "First payment": "8/1" });
  await expect(deal.sentence).toContainText("the first on August 1, 2027");
  await deal.type({ "First payment": "soon" });
  await expect(page.getByText(/^Type a date such as Nov 24, 2027/)).toBeVisible();
  await deal.type({ "First payment": "8 Jan" });
  await page.getByRole("button", { name: "Pick the first payment" }).click();
  // In the theme's colour, which its own style must not undo.
  const arrow = page.getByRole("button", { name: /next month/i }).locator("svg");
  await expect(arrow).toHaveCSS("fill", "rgb(13, 102, 95)");
  await page.getByRole("button", { name: /January 20th, 2027/ }).click();
  await expect(deal.field("First payment")).toHaveValue("Jan 20, 2027");
  await expect(deal.sentence).toContainText("the first on January 20, 2027");
});
