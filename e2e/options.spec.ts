import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { DealScreen, hearsNothing, newDeal, openView, VAN, view } from "./officer";

const strip = (page: Page) => page.getByRole("region", { name: "Options" });
const cards = (page: Page) => strip(page).getByRole("listitem");

/** Makes the options of a row of the panel. */
async function make(page: Page, row: RegExp): Promise<void> {
  await page.getByRole("button", { name: "+ Option" }).click();
  const panel = page.getByRole("region", { name: "Options beside this one" });
  await panel
    .locator("div.divide-y > div")
    .filter({ hasText: row })
    .getByRole("button", { name: /^Make/ })
    .click();
}

/** A van with three options: over 60, 48 and 72 payments. */
async function threeOptions(page: Page, customer: string): Promise<DealScreen> {
  const deal = await newDeal(page);
  await deal.type({ Customer: customer, ...VAN, "Cash down": "3,000" });
  await page.getByRole("button", { name: "+ Option" }).click();
  await page.getByLabel("Numbers of payments").fill("48, 72");
  await page.getByRole("button", { name: "Make 2 options" }).click();
  await expect(cards(page)).toHaveCount(3);
  return deal;
}

test("options are made in one step, changed, named, chosen, moved by drag and deleted with undo", async ({
  page,
}) => {
  const deal = await threeOptions(page, "Odette Farrow");
  // The first of the new ones is open; each shows what it costs.
  await expect(cards(page).nth(1)).toContainText("48 monthly");
  await expect(
    cards(page)
      .nth(1)
      .getByRole("button", { name: /48 monthly/ })
      .first(),
  ).toHaveAttribute("aria-current", "true");
  await expect(deal.sentence).toContainText("48 monthly");
  await deal.type({ "Cash down": "6,000" });
  await expect(cards(page).nth(1)).toContainText("48 monthly, 6,000.00 down, 5.89 %");
  await expect(cards(page).nth(0)).toContainText("60 monthly, 3,000.00 down");

  await page.getByRole("button", { name: "Rename “48 monthly, 6,000.00 down, 5.89 %”" }).click();
  await page.getByLabel("Name of the option").fill("The short one");
  await page.keyboard.press("Enter");
  await expect(cards(page).nth(1)).toContainText("The short one");
  await page.getByRole("button", { name: "Choose", exact: true }).click();
  await expect(cards(page).nth(1)).toContainText("chosen");

  await cards(page).nth(1).dragTo(cards(page).nth(0));
  await expect(cards(page).nth(0)).toContainText("The short one");
  await page.getByRole("button", { name: "Delete it" }).click();
  await expect(cards(page)).toHaveCount(2);
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(cards(page).nth(0)).toContainText("The short one");
  await expect(cards(page).nth(0)).toContainText("chosen");

  // A change in all of them.
  await page.getByLabel("Changes in all options").check();
  await deal.type({ Price: "28,000" });
  await page.getByLabel("Changes in all options").uncheck();
  await cards(page).nth(2).getByRole("button").first().click();
  await expect(deal.field("Price")).toHaveValue("28,000.00");
  await deal.saved();
  await page.reload();
  await expect(cards(page)).toHaveCount(3);
  await expect(cards(page).nth(0)).toContainText("The short one");
  // The register shows the chosen one.
  await page.goto("/?search=Odette");
  await expect(page.getByRole("row", { name: /Odette Farrow/ })).toContainText("The short one, chosen of 3");
});

test("with and without balloon, percents down, a lease, and the rebate or the low rate with their tie", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Rufus Penhale", ...VAN });
  await make(page, /balloon/);
  await expect(cards(page)).toHaveCount(2);
  await expect(cards(page).nth(1)).toContainText("60 monthly, balloon 30 % of the price");
  await cards(page).nth(0).getByRole("button").first().click();
  await make(page, /% of the price down/);
  await expect(cards(page)).toHaveCount(5);
  await cards(page).nth(0).getByRole("button").first().click();
  await make(page, /as a lease/);
  await expect(cards(page).nth(1)).toContainText("Lease, 60 monthly");
  await expect(cards(page).nth(1)).toContainText("15,000.00 to buy");
  await cards(page).nth(0).getByRole("button").first().click();
  await page.getByRole("button", { name: "+ Option" }).click();
  await page.getByLabel("Rebate", { exact: true }).fill("1,800");
  await page.getByLabel("Low rate in percent a year").fill("1.9");
  // 30,000 at 6 % over 60 is 579.98; less 1,800 it is 545.18. At 1.9 % it is 524.53.
  await expect(
    page.getByText(/Total cost 32,711\.\d\d with the rebate, 31,47\d\.\d\d at 1\.9 %/),
  ).toBeVisible();
  await expect(page.getByText(/They tie at 3\.\d+ %, or with a rebate of 2,8\d\d\.\d\d/)).toBeVisible();
  await page.getByRole("button", { name: "Make 2 options" }).last().click();
  await expect(cards(page)).toHaveCount(8);
  await page.getByRole("button", { name: "+ Option" }).click();
  await expect(page.getByText("A deal holds eight options; delete one to make room.")).toBeVisible();
});

test("undo and redo say what they do, over all options, and outlive a reload", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Tilda Marsh", ...VAN });
  await deal.type({ "Cash down": "3,000" });
  await deal.type({ Price: "31,000" });
  await expect(page.getByRole("button", { name: "Undo: price 31,000.00" })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(deal.field("Price")).toHaveValue("30,000.00");
  await expect(page.getByRole("button", { name: "Undo: cash down 3,000.00" })).toBeVisible();
  await expect(page.getByRole("button", { name: "Redo: price 31,000.00" })).toBeVisible();
  await page.keyboard.press("Control+Shift+z");
  await expect(deal.field("Price")).toHaveValue("31,000.00");
  await make(page, /One like it/);
  await expect(cards(page)).toHaveCount(2);
  await deal.type({ "Number of payments": "48" });
  await deal.saved();

  await page.reload();
  await expect(cards(page)).toHaveCount(2);
  await page.getByRole("button", { name: /^Undo: .*48/ }).click();
  await page.keyboard.press("Control+z");
  await expect(strip(page)).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(deal.field("Price")).toHaveValue("30,000.00");
  await deal.saved();
  await page.reload();
  await expect(deal.field("Price")).toHaveValue("30,000.00");
  await page.getByRole("button", { name: /^Redo: price/ }).click();
  await expect(deal.field("Price")).toHaveValue("31,000.00");
});

test("two tabs that change different options of one deal lose nothing, and neither undoes the other", async ({
  page,
  context,
}) => {
  await hearsNothing(page);
  const first = await threeOptions(page, "Gethin Vale");
  await first.saved();
  const other = await context.newPage();
  await hearsNothing(other);
  await other.goto(page.url());
  const second = await new DealScreen(other).ready();
  await cards(other).nth(2).getByRole("button").first().click();
  await expect(second.sentence).toContainText("72 monthly");
  await first.type({ Price: "29,000" });
  await first.saved();
  await second.type({ Price: "33,000" });
  await second.saved();
  // It has got what the other changed, which is not undone here.
  await cards(other).nth(1).getByRole("button").first().click();
  await expect(second.field("Price")).toHaveValue("29,000.00");
  await expect(other.getByRole("button", { name: /^Undo/ })).toHaveAttribute("aria-disabled", "true");
  await page.reload();
  await cards(page).nth(2).getByRole("button").first().click();
  await expect(first.field("Price")).toHaveValue("33,000.00");
  await cards(page).nth(1).getByRole("button").first().click();
  await expect(first.field("Price")).toHaveValue("29,000.00");
});

test("a deal file holds all options, and comes back as it was", async ({ page }) => {
  const deal = await threeOptions(page, "Wren Tolley");
  await deal.saved();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export deal" }).click(),
  ]);
  const path = await download.path();
  const file = JSON.parse(await readFile(path, "utf8"));
  expect(file).toMatchObject({ version: 2, customer: "Wren Tolley", chosen: 1 });
  expect(file.options).toHaveLength(3);
  await page.goto("/");
  await page.getByLabel("Deal files").setInputFiles({
    name: "Another name.deal.json",
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify({ ...file, customer: "Wren Tolley again", chosen: 3 })),
  });
  await page.getByRole("link", { name: "Wren Tolley again" }).click();
  await expect(cards(page)).toHaveCount(3);
  await expect(cards(page).nth(2)).toContainText("chosen");
});

test("the line-up: figures, differences, the best by a word, and a chart that reads all options", async ({
  page,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await threeOptions(page, "Lorna Quill");
  await make(page, /as a lease/);
  await view(page, "Line-up").click();
  const table = page.getByRole("region", { name: "Line-up" }).getByRole("table").first();
  const row = (name: string) => table.getByRole("row", { name: new RegExp(`^${name}`) });
  // 27,000.00 over 60 at 6 %, over 48 at the house's 5.89 % and over 72 at its 6.49 %, and a lease of 48.
  await expect(row("Payment ").getByRole("cell").nth(0)).toContainText("521.99");
  await expect(row("Payment ").getByRole("cell").nth(1)).toContainText("632.73");
  await expect(row("Finance charge").getByRole("cell").nth(1)).toContainText("◂ lowest");
  await expect(row("Finance charge").getByRole("cell").nth(2)).toContainText("–");
  await expect(row("APR").getByRole("cell").nth(2)).toContainText("–");
  await expect(row("Rent charge").getByRole("cell").nth(0)).toContainText("–");
  await page.getByLabel("compared with").selectOption({ label: "2 · 48 monthly, 5.89 %" });
  await expect(row("Payment ").getByRole("cell").nth(0)).toContainText("− 110.74");
  await page.getByLabel("owed and paid after").fill("0");
  await expect(row("Still owed after 0 months").getByRole("cell").nth(1)).toContainText("27,000.00");

  await page.getByRole("radio", { name: "still owed" }).check();
  await page.getByLabel("read at month").focus();
  await page.keyboard.press("End");
  await expect(page.getByText("after 72 months", { exact: true })).toBeVisible();
  await page.getByText("The chart as a table").click();
  await expect(page.getByRole("table", { name: /month by month/ }).getByRole("row")).toHaveCount(14);

  await page.getByRole("button", { name: "Copy for a spreadsheet" }).click();
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied.split("\n")[0]).toBe(
    "in USD\t1 · 60 monthly, 6 %\t2 · 48 monthly, 5.89 %\t3 · Lease, 48 monthly\t4 · 72 monthly, 6.49 %",
  );
  expect(copied).toContain("Payment\t521.99\t632.73\t");
  await expectNoAxeFindings(page);
});

test("an officer without a mouse: three options, compared, one moved on the map, chosen, signed, and reopened", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Isolde Crane", ...VAN });
  const press = async (name: RegExp | string) => {
    await page
      .getByRole("button", { name, exact: typeof name === "string" })
      .first()
      .focus();
    await page.keyboard.press("Enter");
  };
  await press("+ Option");
  await page.getByLabel("Numbers of payments").focus();
  await page.keyboard.press("Control+a");
  await page.keyboard.type("48 72");
  await press("Make 2 options");
  await expect(cards(page)).toHaveCount(3);
  // Alt and an arrow move an option.
  await cards(page).nth(1).getByRole("button").first().focus();
  await page.keyboard.press("Alt+ArrowRight");
  await expect(cards(page).nth(2)).toContainText("48 monthly");
  await expect(page.getByText("48 monthly, 5.89 % is now option 3 of 3.")).toBeAttached();
  await press("Line-up");
  await expect(page.getByRole("rowheader", { name: "Finance charge" })).toBeVisible();

  await press("Map");
  const map = page.getByRole("application");
  await expect(map).toBeVisible();
  await map.focus();
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("ArrowLeft");
  const reading = page.locator("figcaption").first();
  await expect(reading).toContainText("47 monthly payments, cash down 250.00");
  const figure = await reading.locator("strong").textContent();
  await page.keyboard.press("Enter");
  await expect(deal.sentence).toContainText(`$${figure}`);
  await expect(deal.sentence).toContainText("47 monthly");

  await press("Choose");
  await deal.saved();
  // No key on the list of states signs.
  await page.getByLabel("Status").focus();
  await page.keyboard.type("Signed");
  for (let key = 0; key < 4; key++) await page.keyboard.press("ArrowDown");
  await expect(page.getByLabel("Status")).toHaveValue("lost");
  await deal.sign();
  await expect(page.getByText(/Signed on .*Every figure is as it was then/)).toBeVisible();
  await expect(deal.field("Price")).toHaveCount(0);
  await press("Reopen to change it");
  await press("Reopen it");
  await expect(deal.field("Price")).toBeEnabled();
  await openView(page, "History");
  await expect(page.getByRole("button", { name: /reopened, status signed → quoting/ })).toBeVisible();
  await press(/begun/);
  await press("Bring it back");
  await expect(strip(page)).toHaveCount(0);
  await deal.saved();
});

test("options, map and reach have nothing to find fault with, light and dark, on a wide screen and a narrow one", async ({
  page,
}) => {
  await threeOptions(page, "Perrin Lund");
  await page.getByRole("button", { name: "+ Option" }).click();
  await expect(page.getByLabel("Low rate in percent a year")).toBeVisible();
  await expectNoAxeFindings(page);
  await page.getByRole("button", { name: "+ Option" }).click();
  for (const name of ["Map", "Reach", "History", "Line-up"]) {
    await openView(page, name);
    await page.waitForTimeout(300);
    if (name === "Map") await page.getByLabel("budget a month").fill("600");
    await expectNoAxeFindings(page);
  }
  await page.setViewportSize({ width: 390, height: 800 });
  await view(page, "Map").click();
  await expect(page.getByRole("application")).toBeVisible();
  await expectNoAxeFindings(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
