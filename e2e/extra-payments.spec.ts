import { expect, test } from "@playwright/test";
import { campervan, card, chosen, early, table } from "./campervan";
import { newDeal, press, view } from "./officer";

test("extra payments are tried beside the plan, kept, and made part of it", async ({ page }) => {
  const deal = await campervan(page, { "Contract date": "2026-11-29", "First payment": "2026-12-29" });
  await press(page, "Once");
  await page.getByLabel("Extra 1: when").fill("24");
  await page.getByLabel("Extra 1: amount").fill("4000");
  await expect(early(page)).toHaveText(
    "Paid off on April 29, 2032, 7 months sooner, with 1,086.25 less interest.",
  );
  await expect(table(page).getByRole("rowheader", { name: "65 payments, 1 extra" })).toBeVisible();
  await page.getByLabel("Extra 1: what it does").selectOption({ label: "lower payment, same end" });
  await expect(early(page)).toContainText("the payment down to 550.90, with 552.43 less interest");
  await page.getByLabel("Extra 1: what it does").selectOption({ label: "same payment, shorter term" });
  // Paper says what it takes for granted, with the table that is tried.
  const assumed = page.locator("p", {
    hasText: /^Paid off on April 29, 2032.* credited to principal as it comes/,
  });
  await page.emulateMedia({ media: "print" });
  await expect(assumed).toBeVisible();
  await page.emulateMedia({ media: "screen" });
  await expect(assumed).toBeHidden();
  // As planned and with what is tried.
  await page.getByLabel("Which repayment is shown").selectOption({ label: "as planned" });
  await expect(table(page).getByRole("rowheader", { name: "72 payments" })).toBeVisible();
  await deal.saved();
  await page.reload();
  await view(page, "Repayment").click();
  await expect(early(page)).toContainText("1,086.25 less interest");
  // It is not agreed: the quote is as it was.
  await view(page, "Desk").click();
  await expect(deal.sentence).toContainText("over 72 monthly payments of $645.74");
  await expect(page.getByTestId("financeCharge")).toContainText("8,068.18");

  await view(page, "Repayment").click();
  await press(page, "Make it part of the plan");
  await expect(page.getByTestId("repayment-line")).toContainText("65 monthly payments of $645.74");
  await expect(early(page)).toHaveCount(0);
  await press(page, "Try the plan’s extra payments beside it instead");
  await expect(page.getByTestId("repayment-line")).toContainText("72 monthly payments");
  await expect(early(page)).toContainText("1,086.25 less interest");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.getByTestId("repayment-line")).toContainText("65 monthly payments");
});

test("the usual ways to pay more, and the whole payment", async ({ page }) => {
  await campervan(page);
  await press(page, "Pay 650.00");
  await expect(page.getByLabel("Extra with each payment")).toHaveValue("4.26");
  await page.getByLabel("Whole payment").fill("700");
  await expect(page.getByLabel("Extra with each payment")).toHaveValue("54.26");
  await expect(early(page)).toHaveText(
    "Paid off on June 8, 2032, 6 months sooner, with 780.99 less interest.",
  );
  await page.getByLabel("Extra with each payment").fill("x");
  await expect(page.getByText("“x” is not an amount")).toBeVisible();
  await expect(early(page)).toContainText("780.99");
  await page.getByLabel("Extra with each payment").fill("");
  await press(page, "One payment more a year");
  await expect(page.getByLabel(/^Extra \d: amount$/)).toHaveCount(5);
});

test("paid off by a payment or a day: what it takes, and taking it", async ({ page }) => {
  await campervan(page, { "Contract date": "2026-11-29", "First payment": "2026-12-29" });
  await page.getByLabel("When it is to be paid off").fill("60");
  await expect(card(page, "Paid off by")).toContainText("takes 105.91 more with each payment");
  await press(page, "Try it");
  await expect(page.getByLabel("Extra with each payment")).toHaveValue("105.91");
  await expect(early(page)).toContainText("12 months sooner");
  await page.getByLabel("Extra with each payment").fill("");
  await page.getByLabel("What pays it off").selectOption({ label: "once, after payment" });
  await page.getByLabel("From which payment").fill("24");
  await page.getByLabel("When it is to be paid off").fill("Nov 2031");
  await expect(card(page, "Paid off by")).toContainText("takes 6,162.44 once");
  await page.getByLabel("When it is to be paid off").fill("72");
  await expect(card(page, "Paid off by")).toContainText("No extra money is needed");
});

test("keep it or pay it in, and the payoff on any day", async ({ page }) => {
  const deal = await campervan(page, { "Contract date": "2026-11-29", "First payment": "2026-12-29" });
  const keep = card(page, "Keep it, or pay it in?");
  await page.getByLabel("Money in hand", { exact: true }).fill("4000");
  await page.getByLabel("Money in hand after").fill("24");
  await page.getByLabel("Yearly return").fill("4.2");
  await expect(keep).toContainText("Paying it in leaves 431.31 more. They tie at a return of 6.69 % a year.");
  await page.getByLabel("Tax on the return").fill("25");
  await expect(keep).toContainText("They tie at a return of 8.92 %");
  await press(page, "Working of what is left");
  await expect(keep).toContainText("paid off with payment 65");
  await deal.saved();

  const payoff = card(page, "Payoff on");
  await page.getByLabel("Day of the payoff").fill("15 Mar 2028");
  await expect(payoff).toContainText("Principal after payment 1531,601.53");
  await expect(payoff).toContainText("Each further day5.8935");
  await expect(payoff).toContainText("The sum on that day31,689.93");
  await press(page, "Working of the payoff");
  await expect(payoff).toContainText("= 31,689.93 + 10 × 5.893504");
  await expect(payoff).toContainText(
    "Over equal periods the interest of this one is shared out over its 29 days.",
  );
  await expect(payoff).toContainText("The sum good through Mar 25, 202831,748.87");
  await page.getByLabel("Payoff good through").fill("30 Mar 2028");
  await expect(payoff).toContainText("The sum good through Mar 30, 202831,778.33");
  await expect(payoff).toContainText("the sum takes it as not made");
  await page.getByLabel("Day of the payoff").fill("2040-01-01");
  await expect(payoff).toContainText("lies outside this loan");

  await page.reload();
  await view(page, "Repayment").click();
  await expect(page.getByLabel("Yearly return")).toHaveValue("4.2 %");
});

test("a charge for paying early is part of the plan, and of what it costs to pay early", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "38425", "Yearly rate": "6.49", "Number of payments": "72" });
  await page.locator("summary", { hasText: "More: balloon" }).click();
  await press(page, "+ charge for paying early");
  await page
    .getByLabel("Charge for paying early", { exact: true })
    .fill("1 % on any early money up to payment 24; 250");
  await deal.saved();
  await view(page, "Repayment").click();
  await page.getByLabel("Day of the payoff").fill("24");
  await expect(card(page, "Payoff on")).toContainText("Charge for paying early272.34");
  await expect(card(page, "Payoff on")).toContainText("The sum on that day27,506.78");
  await page.getByLabel("Day of the payoff").fill("25");
  await expect(card(page, "Payoff on")).toContainText("Charge for paying early250.00");
  await press(page, "Once");
  await page.getByLabel("Extra 1: when").fill("24");
  await page.getByLabel("Extra 1: amount").fill("4000");
  await expect(early(page)).toContainText("with 1,046.25 less interest");
  await expect(page.getByText("After a charge of 40.00 for paying early.")).toBeVisible();
});

test("on a signed deal more can be tried; what is signed stays", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({
    Customer: "Wenna Carrowmore",
    Price: "38425",
    "Yearly rate": "6.49",
    "Number of payments": "72",
  });
  await deal.saved();
  await deal.sign();
  await expect(page.getByRole("button", { name: "Reopen to change it" })).toBeVisible();
  await view(page, "Repayment").click();
  await page.getByLabel("Extra with each payment").fill("54.26");
  await expect(early(page)).toContainText("780.99 less interest");
  await expect(page.getByRole("button", { name: "Make it part of the plan" })).toHaveCount(0);
  await deal.saved();
  await page.reload();
  await view(page, "Repayment").click();
  await expect(early(page)).toContainText("780.99 less interest");
});

test("a grid of extra payments: figures of one's own, and a place is taken", async ({ page }) => {
  await campervan(page);
  await page.getByLabel("What stands above the table").selectOption({ label: "grid" });
  const grid = page.getByRole("table", { name: /^When the loan ends/ });
  await expect(grid.getByRole("button")).toHaveCount(20);
  await page.getByLabel("With each payment, column 2").fill("54.26");
  await page.getByLabel("Once, row 4").fill("4000");
  const row = (nth: number) => grid.getByRole("row").nth(nth);
  await expect(row(1).getByRole("button").nth(1)).toHaveText(/Jun 8, 2032.*780\.99/);
  await expect(row(4).getByRole("button").first()).toHaveText(/May 8, 2032.*1,086\.25/);
  await row(4).getByRole("button").first().click();
  await expect(early(page)).toContainText("1,086.25 less interest");
  await expect(row(4).getByRole("button").first()).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByLabel("Extra 1: when")).toHaveValue("payment 24");
  await row(4).getByRole("button").nth(1).click();
  await expect(page.getByLabel("Extra with each payment")).toHaveValue("54.26");
  await expect(page.getByLabel(/^Extra \d: amount$/)).toHaveCount(1);
  await row(1).getByRole("button").first().click();
  await expect(early(page)).toHaveCount(0);
});

test("money that comes once is dragged along the chart, and moved with the arrows", async ({ page }) => {
  await campervan(page);
  await press(page, "Once");
  await page.getByLabel("Extra 1: amount").fill("4000");
  const lump = page.getByRole("slider", { name: /^Extra 1 of 4,000\.00/ });
  await expect(lump).toHaveAttribute("aria-valuenow", "12");
  await lump.focus();
  for (let k = 0; k < 12; k++) await page.keyboard.press("ArrowRight");
  await expect(page.getByLabel("Extra 1: when")).toHaveValue("payment 24");
  await expect(early(page)).toContainText("1,086.25 less interest");
  const box = await lump.boundingBox();
  if (!box) throw new Error("The lump is not shown.");
  await page.mouse.move(box.x + 12, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 200, box.y + 30, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByLabel("Extra 1: when")).toHaveValue(/^payment (4\d|5\d)$/);
  await expect(chosen(page)).toHaveCount(0);
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(page.getByLabel("Extra 1: when")).not.toHaveValue(/^payment (4\d|5\d)$/);
});

test("a flat-rate loan says why it takes no extra payments, and has its payoff", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "10000", "Yearly rate": "5", "Number of payments": "36" });
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "flat rate" });
  await view(page, "Repayment").click();
  await expect(card(page, "Extra payments")).toContainText("A flat-rate loan takes no extra payments");
  await page.getByLabel("Day of the payoff").fill("12");
  await expect(card(page, "Payoff on")).toContainText(
    "By the sum of the digits: 675.68 of the charge refunded",
  );
});
