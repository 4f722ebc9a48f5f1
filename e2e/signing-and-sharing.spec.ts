import { expect, test } from "@playwright/test";
import { DealScreen, newDeal, press, VAN } from "./officer";

test("signing asks, with the option's figures; it names the chosen one where another is open", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Perran Vosk" });
  await press(page, "Sign …");
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("It has no answer. The price");
  await expect(dialog.getByRole("button", { name: /^Sign/ })).toHaveCount(0);
  await dialog.getByRole("button", { name: "Not now" }).click();
  await expect(page.getByRole("button", { name: "Sign …" })).toBeFocused();

  await deal.type(VAN);
  await press(page, "+ Option");
  await page.getByLabel("Numbers of payments").fill("72");
  const oneTerm = page
    .locator("div")
    .filter({ has: page.getByLabel("Numbers of payments") })
    .filter({ has: page.getByRole("button", { name: "Make one option" }) })
    .last();
  await oneTerm.getByRole("button", { name: "Make one option" }).click();
  await expect(deal.sentence).toContainText("72 monthly payments of $504.16");
  await deal.saved();
  await press(page, "Sign …");
  await expect(dialog).toContainText(
    "Signed is option 1, “60 monthly, 6 %”, which is chosen. Open is option 2, “72 monthly, 6.49 %”.",
  );
  await expect(dialog).toContainText("60 monthly payments of $579.98");
  await expect(dialog.getByTestId("totalCost")).toHaveText("34,799.09");
  await dialog.getByRole("button", { name: "Choose option 2 instead" }).click();
  await expect(dialog).toContainText("72 monthly payments of $504.16");
  await dialog.getByRole("button", { name: "Sign option 2" }).click();
  await expect(page.getByText(/^Signed on .*Every figure is as it was then/)).toBeVisible();
  await expect(deal.sentence).toContainText("$504.16");
});

test("two pages that change different figures of one option both keep theirs", async ({ page, context }) => {
  const first = await newDeal(page);
  await first.type({ Customer: "Lowen Marrick", ...VAN });
  await first.saved();
  const other = await context.newPage();
  await other.goto(page.url());
  const second = await new DealScreen(other).ready();
  await first.type({ Price: "31,000" });
  await first.saved();
  await second.type({ "Cash down": "2,000" });
  await second.saved();
  await expect(second.field("Price")).toHaveValue("31,000.00");
  await expect(second.sentence).toContainText("finance $29,000.00");

  // What somebody else has saved comes into a field that was entered and not typed in: it is typed over as a whole, too.
  await second.field("Price").focus();
  await first.type({ Price: "31,250" });
  await first.saved();
  await other.evaluate(() => window.dispatchEvent(new Event("focus")));
  await expect(second.field("Price")).toHaveValue("31,250.00");
  await other.keyboard.type("31,400");
  await expect(second.field("Price")).toHaveValue("31,400");
  await second.saved();
  await page.reload();
  await expect(first.field("Cash down")).toHaveValue("2,000.00");

  // What was changed as the page was left, and seen again at its address, is no conflict with oneself.
  for (let round = 0; round < 3; round++) {
    await first.type({ Price: `3${round},500` });
    await page.goto(page.url());
    await first.ready();
    await first.type({ Price: `3${round},750` });
    await first.saved();
    await expect(page.getByRole("dialog")).toHaveCount(0);
  }
  await expect(first.field("Price")).toHaveValue("32,750");
});
