import { expect, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { campervan, card, chosen, early, table } from "./campervan";
import { newDeal, press, view } from "./officer";

test("the table in groups: they fold, ranges are added up, and a line is gone to", async ({ page }) => {
  await campervan(page);
  const year = (name: string) => table(page).getByRole("button", { name: new RegExp(`^${name}`) });
  await expect(year("2028")).toHaveAttribute("aria-expanded", "false");
  await year("2028").click();
  await table(page).getByRole("row", { name: /^13 / }).click();
  await table(page).evaluate(element => element.scrollBy({ top: 300 }));
  await table(page).getByRole("row", { name: /^24 / }).click();
  await expect(chosen(page)).toHaveText(/Payments 13 to 24\D*7,748\.881,972\.585,776\.30/);
  await press(page, "First 12 months");
  await expect(chosen(page)).toContainText("2,334.62");
  await press(page, "Next 12 months");
  await expect(chosen(page)).toHaveText(/Payments 13 to 24.*1,972\.58/);
  await press(page, "All that is left");
  await expect(chosen(page)).toContainText("Payments 25 to 72");
  await press(page, "Clear");
  await expect(chosen(page)).toHaveCount(0);
  // What was chosen before counts no more; a drag chooses what it goes over.
  await page.getByLabel("Go to payment").fill("1");
  await press(page, "Clear");
  await table(page).getByRole("row", { name: /^3 / }).click();
  await expect(chosen(page)).toContainText("Payment 3");
  await press(page, "Clear");
  await table(page).getByRole("row", { name: /^2 / }).hover();
  await page.mouse.down();
  await table(page).getByRole("row", { name: /^3 / }).hover();
  await table(page).getByRole("row", { name: /^4 / }).hover();
  await page.mouse.up();
  await expect(chosen(page)).toContainText("Payments 2 to 4");
  await page.getByLabel("Go to payment").fill("72");
  await expect(table(page).getByText("last, adjusted")).toBeInViewport();
  await expect(page.getByTestId("closes")).toContainText("principal adds up to 38,425.00");
});

test("columns are shown and hidden, and stay so in this browser", async ({ page }) => {
  await campervan(page);
  await page.getByText("Columns").click();
  await page.getByLabel("Interest so far").check();
  await page.getByLabel("Opening balance").check();
  const first = table(page).getByRole("row", { name: /^1 / });
  await expect(first).toContainText("38,425.00");
  await page.reload();
  await view(page, "Repayment").click();
  await expect(table(page).getByRole("columnheader", { name: "Interest so far" })).toBeVisible();
  await page.getByText("Columns").click();
  await page.getByLabel("Interest so far").uncheck();
  await expect(table(page).getByRole("columnheader", { name: "Interest so far" })).toHaveCount(0);
});

test("a line that is other than the usual says why, and so does what is saved", async ({ page }) => {
  await campervan(page, { "Contract date": "2026-11-24" }, "$647.36");
  await page.getByLabel("Extra with each payment").fill("54.26");
  await expect(early(page)).toBeVisible();
  await press(page, "Working of the interest saved");
  await expect(card(page, "Extra payments")).toContainText("Interest with the extra payments");
  await press(page, "odd first period");
  await expect(table(page)).toContainText("The first period has 1 month and 14 days instead of one month");
  await press(page, "odd first period");
  await expect(table(page)).not.toContainText("The first period has");
  await page.getByLabel("Go to payment").fill("66");
  await press(page, "last, adjusted");
  await expect(table(page)).toContainText("The last payment takes what is left:");
});

test("a lease has the same view: years, ranges, its chart and what it can show besides", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "40000", "Yearly rate": "5.4", "Number of payments": "36" });
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "lease" });
  await deal.type({ Residual: "18240" });
  await view(page, "Repayment").click();
  await expect(page.getByTestId("repayment-line")).toContainText("36 monthly payments of");
  await expect(card(page, "Extra payments")).toContainText("A lease takes no extra payments");
  await expect(
    table(page)
      .getByRole("button", { name: /^20\d\d/ })
      .first(),
  ).toBeVisible();
  await page.getByText("Columns").click();
  await page.getByLabel("By years of the contract").check();
  await press(page, "Fold all years");
  await expect(table(page).getByRole("row")).toHaveCount(1 + 3 + 1);
  await press(page, "Open all years");
  await expect(table(page).getByRole("button", { name: /^Year 1/ })).toHaveAttribute("aria-expanded", "true");
  await page.getByText("Columns").click();
  await press(page, "First 12 months");
  await expect(chosen(page)).toContainText("Payments 1 to 12");
  await press(page, "at signing");
  await expect(table(page)).toContainText("nothing has been earned yet");
  await page.getByRole("img", { name: /^What the vehicle still stands for/ }).focus();
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText(/^payment 1[,:].*lost value/)).toBeVisible();
  await page.getByText("Columns").click();
  await page.getByLabel("Rent so far").check();
  await expect(table(page).getByRole("columnheader", { name: "Rent so far" })).toBeVisible();
  await page.getByLabel("Rent so far").uncheck();
  await page.getByLabel("Go to payment").fill("36");
  await expect(table(page).getByText("residual due")).toBeInViewport();
  await expectNoAxeFindings(page);
});

test("with the keyboard alone: lines are chosen in the table and on the chart, and money is tried", async ({
  page,
}) => {
  await campervan(page);
  await table(page).focus();
  for (let k = 0; k < 3; k++) await page.keyboard.press("Shift+ArrowDown");
  await expect(chosen(page)).toContainText("Payments 1 to 3");
  await page.keyboard.press("Escape");
  await expect(chosen(page)).toHaveCount(0);
  await page.getByRole("img", { name: /^What is owed/ }).focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowRight");
  await expect(chosen(page)).toContainText("Payments 1 to 2");
  await expect(page.getByText(/^payment 2, Feb 8, 2027: 645\.74/)).toBeVisible();
  await page.getByLabel("Extra with each payment").focus();
  await page.keyboard.type("54.26");
  await page.keyboard.press("Tab");
  await expect(early(page)).toContainText("780.99 less interest");
});

test("nobody is kept out of the repayment, in the light and in the dark", async ({ page }) => {
  await campervan(page);
  await page.getByLabel("Extra with each payment").fill("50");
  await press(page, "Once");
  await press(page, "First 12 months");
  await expect(chosen(page)).toBeVisible();
  await press(page, "Working of the interest saved");
  await page.getByText("Columns").click();
  await expectNoAxeFindings(page);
  await page.getByText("Columns").click();
  await page.getByLabel("What stands above the table").selectOption({ label: "grid" });
  await expect(page.getByRole("table", { name: /^When the loan ends/ }).getByRole("button")).toHaveCount(20);
  await expectNoAxeFindings(page);
});
