import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { newDeal, openDeal, VAN } from "./officer";

const moves = (page: Page) => page.getByRole("region", { name: "What would have to move" });
const row = (page: Page, name: string) => moves(page).getByRole("row", { name: new RegExp(`^${name}`) });

test("a wanted payment says what would have to move, and each is taken or kept as an option", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Hesper Lund", ...VAN, "Cash down": "2,000", "Trade-in allowance": "5,000" });
  // 30,000.00 less 5,000.00 and 2,000.00 at 6 % over 60: 444.65.
  await expect(deal.sentence).toContainText("payments of $444.65");
  await page.getByLabel("Make it").fill("400");
  // Up to 400.005 rounds to 400.00, which repays 20,690.48 by the annuity of 51.725561.
  await expect(row(page, "Cash down")).toContainText("4,309.52");
  await expect(row(page, "Price")).toContainText("27,690.48");
  await expect(row(page, "Trade-in allowance")).toContainText("7,309.52");
  await expect(row(page, "Number of payments")).toContainText("68");
  // At the house's rate for it, and at the deal's own.
  await expect(row(page, "next usual term").first()).toContainText(/at 6\.49 %.*72/);
  await expect(row(page, "next usual term").last()).toContainText("72");
  // A concession on the trade reads like the same cut in price.
  const total = async (name: string) => (await row(page, name).getByRole("cell").allInnerTexts())[5];
  expect(await total("Trade-in allowance")).toBe(await total("Price"));
  expect(await total("Price")).not.toBe(await total("Cash down"));

  // Two at once.
  await moves(page)
    .getByRole("button", { name: /^Two at once/ })
    .click();
  const overTerms = page.getByRole("table", { name: "Number of payments, with the rest as cash" });
  await expect(overTerms.getByRole("row", { name: /^48/ })).toContainText(/^48.*− 12/);

  // Shift keeps it as an option more; the wish is forgotten.
  await row(page, "Price")
    .getByRole("button")
    .click({ modifiers: ["Shift"] });
  await expect(page.getByRole("region", { name: "Options" }).getByRole("listitem")).toHaveCount(2);
  await expect(deal.field("Price")).toHaveValue("27,690.48");
  await expect(deal.sentence).toContainText("payments of $400.00");
  await expect(moves(page)).toBeHidden();

  // What cannot give says why; other figures are wanted just so.
  await page.getByLabel("Which figure is wanted").selectOption({ label: "finance charge" });
  await page.getByLabel("Make it").fill("3k");
  await expect(row(page, "Yearly rate")).toContainText("%");
  await row(page, "Number of payments").getByRole("button").click();
  await expect(page.getByTestId("financeCharge")).toHaveText(/^2,9\d\d\.\d\d$/);
  await page.getByLabel("Which figure is wanted").selectOption({ label: "end date" });
  await page.getByLabel("Make it").fill("June 2029");
  await expect(moves(page)).toContainText("The end date is set by the number of payments");
  await page.getByLabel("Make it").fill("nothing");
  await expect(page.locator("#wish-error")).toContainText("Type a date such as");
});

test("each figure is found from the screen, from a payment or another figure", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN, "Cash down": "2,000" });
  await deal.sentence.getByTitle("Find this yearly rate").click();
  await expect(deal.findBar).toContainText("Finding the yearly rate");
  await page.getByLabel("Found from which figure").selectOption({ label: "finance charge" });
  await deal.field("What it is found from").fill("4,000");
  await expect(page.getByTestId("financeCharge")).toHaveText("4,000.00");
  await expect(deal.sentence.locator(".found")).toHaveText(/^5\.\d+ %$/);

  await deal.field("Number of payments").press("?");
  await page.getByLabel("Found from which figure").selectOption({ label: "last payment by" });
  await page.getByRole("textbox", { name: "Last payment by" }).fill("June 2031");
  await expect(deal.findBar).toContainText("Finding the number of payments");
  await expect(page.getByLabel("Number of payments (being found)")).not.toHaveValue("60");

  await page.getByRole("button", { name: "find more" }).click();
  await page.getByRole("button", { name: "Find balloon" }).click();
  await expect(deal.findBar).toContainText("Finding the balloon");
  await page.getByRole("button", { name: "Find payment" }).click();
  await expect(deal.findBar).toContainText("Finding the payment");
});

test("a lease is bargained on, too", async ({ page }) => {
  await openDeal(page, "Rosalind Tarbet", "Ostrel U3");
  await page.getByLabel("Make it").fill("-50");
  await expect(row(page, "Agreed price")).toBeVisible();
  await expect(row(page, "Residual")).toBeVisible();
  await expect(row(page, "Money factor")).toContainText("0.00");
  await expect(row(page, "Payments at signing")).toContainText(
    "moves with the payments in advance by roundings",
  );
});

test("what is typed as one speaks is understood, and a slip is asked about", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN });
  const price = deal.field("Price");
  // What understands it comes with the first touch of the page.
  await price.click();
  await price.fill("41,850 − 1,200");
  await expect(page.getByText("= 40,650.00")).toBeVisible();
  await price.blur();
  await expect(price).toHaveValue("40,650.00");
  await price.click();
  await page.keyboard.type("+500");
  await expect(page.getByText("= 41,150.00")).toBeVisible();
  await price.blur();
  await expect(price).toHaveValue("41,150.00");
  await deal.field("Yearly rate").fill("-1%");
  await expect(page.getByText("= 5 %")).toBeVisible();

  await deal.field("Yearly rate").fill("650");
  await page.getByRole("button", { name: "6.50 %?" }).click();
  await expect(deal.field("Yearly rate")).toHaveValue("6.5");
  await deal.field("Number of payments").fill("72y");
  await page.getByRole("button", { name: "72 payments?" }).click();
  await expect(deal.field("Number of payments")).toHaveValue("72");
  await deal.field("Price").fill("1.250");
  await expect(page.getByText("can be read in two ways")).toBeVisible();
  await page.getByRole("button", { name: "1,250.00?" }).click();
  await expect(price).toHaveValue("1,250.00");
  await deal.field("Cash down").fill("2,000");
  await page.getByRole("button", { name: "it is right" }).click();
  await expect(page.getByText("The cash down is above the price.")).toBeHidden();
});

test("anything is done by its name or in a phrase, with the keyboard alone", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Hesper Lund", ...VAN });
  const say = async (text: string) => {
    await page.keyboard.press("Control+k");
    await expect(page.getByRole("combobox", { name: "Do anything" })).toBeFocused();
    await page.keyboard.type(text);
  };
  const willDo = page.getByTestId("will-do");
  await say("72 payments at 5.9");
  // 30,000.00 at 5.9 % over 72.
  await expect(willDo).toContainText(
    "Number of payments 60 → 72, Yearly rate 6 % → 5.9 %; payment 579.98 → 495.77",
  );
  await page.keyboard.press("Enter");
  await expect(deal.sentence).toContainText("72 monthly payments of $495.77");
  await say("down 15 %");
  await expect(willDo).toContainText("Cash down none → 15 %");
  await page.keyboard.press("Enter");
  await expect(deal.field("Cash down")).toHaveValue("15");
  await say("find price for payment 550");
  await expect(willDo).toContainText("Finds the price for payment 550");
  await page.keyboard.press("Enter");
  await expect(deal.findBar).toContainText("Finding the price");
  await expect(deal.sentence).toContainText("payments of $550.00");
  await say("find the payment");
  await page.keyboard.press("Enter");
  await expect(deal.findBar).toContainText("Finding the payment");

  await say("line-up");
  await expect(willDo).toContainText("Shows line-up");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Line-up", exact: true })).toHaveAttribute(
    "aria-current",
    "page",
  );
  await say("show desk");
  // The next is said while the view is still on its way.
  const slow = await page.context().newCDPSession(page);
  await slow.send("Emulation.setCPUThrottlingRate", { rate: 6 });
  await page.keyboard.press("Enter");
  await say("first payment");
  await expect(willDo).toContainText("Goes to First payment");
  await slow.send("Emulation.setCPUThrottlingRate", { rate: 1 });
  await page.keyboard.press("Enter");
  await expect(deal.field("First payment")).toBeFocused();

  // A wish, what would have to move, and an option of it; then undone.
  await say("make the payment");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Make it")).toBeFocused();
  await page.keyboard.type("500");
  await expect(page.getByRole("table", { name: "What would have to move" })).toBeVisible();
  await page.keyboard.press("ArrowDown");
  await expect(page.locator("tr[aria-current=true]")).toContainText("Price");
  await page.keyboard.press("Shift+Enter");
  await expect(page.getByRole("region", { name: "Options" }).getByRole("listitem")).toHaveCount(2);
  await page.keyboard.press("Control+/");
  await expect(page.getByRole("region", { name: "Keys" })).toContainText(
    "Take it as a new option".toLowerCase(),
  );
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("region", { name: "Options" })).toHaveCount(0);
});

test("bargaining, the palette and the figures page have nothing to find fault with, in the light and in the dark", async ({
  page,
}) => {
  await openDeal(page, "Idris Vantongeren", "Larkmoor 240 campervan");
  await page.getByLabel("Make it").fill("600");
  await moves(page)
    .getByRole("button", { name: /^Two at once/ })
    .click();
  await page.getByRole("textbox", { name: "Yearly rate" }).fill("650");
  await expect(page.getByRole("button", { name: "6.50 %?" })).toBeVisible();
  await expectNoAxeFindings(page);
  await page.keyboard.press("Control+k");
  await expect(page.getByRole("combobox", { name: "Do anything" })).toBeVisible();
  await expectNoAxeFindings(page);
  await page.goto("/figures");
  await expect(page.getByTestId("answer")).toHaveCount(4);
  await expectNoAxeFindings(page);
});
