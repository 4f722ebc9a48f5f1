import { expect, type Locator, type Page, test } from "@playwright/test";
import { DealScreen, newDeal, newDealFromRegister, openDeal, VAN } from "./officer";

const view = (page: Page, name: string) =>
  page.getByRole("navigation", { name: "Views of the deal" }).getByRole("button", { name, exact: true });
const press = (page: Page, name: string | RegExp) => page.getByRole("button", { name }).first().click();

/** Types as an officer does, key by key, over what stands in a field. */
async function typeOver(field: Locator, text: string): Promise<void> {
  await field.click();
  await field.pressSequentially(text);
}

test.describe("what cannot be read", () => {
  test("leaves the figure as it was: nothing of it is kept, signed or left unasked", async ({ page }) => {
    const deal = await newDeal(page);
    await deal.type({ Customer: "Nerys Holloway", ...VAN, "Yearly rate": "6.49" });
    await deal.saved();
    const rate = deal.field("Yearly rate");
    await typeOver(rate, "6,49");
    await page.keyboard.press("Tab");
    await expect(rate).toHaveAttribute("aria-invalid", "true");
    await expect(deal.sentence).toHaveClass(/stale/);
    await expect(deal.sentence).toContainText("at 6.49 %");
    await expect(deal.status).toHaveText("Saved, but for what cannot be read");
    await press(page, "Sign …");
    const dialog = page.getByRole("dialog");
    await expect(dialog).toContainText("This option cannot be signed");
    await expect(dialog).toContainText("Yearly rate: “6,49” is not a yearly rate");
    await expect(dialog.getByRole("button", { name: /^Sign/ })).toHaveCount(0);
    await page.keyboard.press("Escape");

    // Leaving asks; who leaves all the same finds the figure as it was.
    const asked = page.waitForEvent("dialog");
    const left = page.getByRole("link", { name: "Back to the deals" }).click({ noWaitAfter: true });
    const leaving = await asked;
    expect(leaving.type()).toBe("beforeunload");
    await leaving.accept();
    await left;
    await page.waitForURL(/\/$/);
    await page.goBack();
    await deal.ready();
    await expect(rate).toHaveValue("6.49");

    // It is offered, as this place writes it.
    await typeOver(rate, "6,79");
    await press(page, "6.79?");
    await expect(rate).toHaveValue("6.79");
    await deal.saved();
  });

  for (const [label, typed, before, meant] of [
    ["Price", "41.850,00", "30,000.00", "41,850.00?"],
    ["Number of payments", "72.5", "60", undefined],
    ["Yearly rate", "45000", "6", undefined],
  ] as const) {
    test(`${typed} in ${label} is offered where it can be read one way, and kept in none`, async ({
      page,
    }) => {
      const deal = await newDeal(page);
      await deal.type({ Customer: "Nerys Holloway", ...VAN });
      const field = deal.field(label);
      await typeOver(field, typed);
      await expect(field).toHaveAttribute("aria-invalid", "true");
      if (meant) await expect(page.getByRole("button", { name: meant })).toBeVisible();
      await expect(deal.status).toHaveText("Saved, but for what cannot be read");
      await page.reload();
      await deal.ready();
      await expect(field).toHaveValue(before);
    });
  }

  test("leaves the house's terms, a budget, reach and the stock as they were, too", async ({ page }) => {
    await page.request.post("/api/stock", {
      data: {
        vehicles: [
          {
            description: "First day van, stock 8001",
            priceMinor: 3_000_000,
            costMinor: null,
            listPriceMinor: null,
            currency: "USD",
          },
        ],
      },
    });
    const deal = await newDeal(page);
    await deal.type({ Customer: "Nerys Holloway", ...VAN });
    await view(page, "Reach").click();
    const budget = page.getByLabel("What the customer can pay a month");
    await budget.fill("600");
    const term = page.getByRole("region", { name: "Reach" }).getByLabel("Term 1: rate");
    await term.fill("6.5");
    await term.press("Tab");
    await typeOver(term, "7,25");
    await expect(term).toHaveAttribute("aria-invalid", "true");
    await typeOver(budget, "650,00");
    await expect(budget).toHaveAttribute("aria-invalid", "true");
    await press(page, "650.00?");
    await expect(budget).toHaveValue("650.00");
    await press(page, "7.25?");
    await expect(term).toHaveValue("7.25");

    await page.goto("/stock");
    const price = page.getByLabel("Asking price of First day van, stock 8001");
    await typeOver(price, "29.500,00");
    await expect(price).toHaveAttribute("aria-invalid", "true");
    const asked = page.waitForEvent("dialog");
    const left = page.getByRole("link", { name: "Settings" }).click({ noWaitAfter: true });
    await (await asked).accept();
    await left;
    await page.waitForURL("**/settings");
    const { settings } = await (await page.request.get("/api/settings")).json();
    const rate = page.getByRole("textbox", { name: "Yearly rate" });
    await typeOver(rate, "6,49");
    await expect(rate).toHaveAttribute("aria-invalid", "true");
    await page.waitForTimeout(600);
    expect((await (await page.request.get("/api/settings")).json()).settings).toEqual(settings);
    await page.getByRole("button", { name: "6.49?" }).waitFor();
    page.once("dialog", leaving => leaving.accept());
    await page.goto("/stock");
    await expect(price).toHaveValue("30,000.00");
  });
});

test("a press or a Tab into any field selects its text", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Quill Ashdown", ...VAN });
  await press(page, "+ Option");
  await press(page, "Make 3 options");
  await press(page, "+ Option");
  await expect(page.getByLabel("Low rate in percent a year")).toBeVisible();
  const places: (() => Promise<unknown>)[] = [
    async () => {},
    async () => view(page, "Reach").click(),
    async () => view(page, "Line-up").click(),
    async () => page.goto("/stock"),
    async () => page.goto("/settings"),
    async () => page.goto("/figures"),
  ];
  let fields = 0;
  for (const go of places) {
    await go();
    await page.waitForTimeout(500);
    const inputs = page.locator("main input.field:enabled:visible");
    for (let index = 0; index < (await inputs.count()); index++) {
      const input = inputs.nth(index);
      if ((await input.inputValue()) === "") continue;
      fields += 1;
      await page.locator("body").evaluate(body => (body.ownerDocument.activeElement as HTMLElement).blur());
      await input.click();
      expect(await selectedOf(input)).toEqual(await input.inputValue());
      await page.keyboard.press("Tab");
      const next = page.locator("input.field:focus");
      if ((await next.count()) > 0) expect(await selectedOf(next)).toBe(await next.inputValue());
    }
  }
  expect(fields).toBeGreaterThan(30);
});

const selectedOf = (input: Locator) =>
  input.evaluate((each: HTMLInputElement) =>
    each.value.slice(each.selectionStart ?? 0, each.selectionEnd ?? 0),
  );

const PARTS = [
  "balloon",
  "interest-only start",
  "start without payments",
  "skipped months",
  "steps",
  "extra with every payment",
  "extra every year",
  "extra on a date",
  "payments in advance",
  "compounding",
  "counting of days",
  "rounding step",
  "charge at signing",
];

test("after each press the focus is where the work goes on", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Quill Ashdown", ...VAN });
  const isIn = (selector: string, after: string) =>
    expect
      .poll(() => page.evaluate(at => document.activeElement?.closest(at) !== null, selector), after)
      .toBe(true);
  for (const part of PARTS) {
    const more = page.locator("summary", { hasText: /^More:/ });
    if (!(await page.getByRole("button", { name: `+ ${part}`, exact: true }).isVisible())) await more.click();
    await page.getByRole("button", { name: `+ ${part}`, exact: true }).click();
    await isIn(`[data-part="${part}"]`, `+ ${part}`);
    await page
      .getByRole("button", { name: /^Remove/ })
      .first()
      .click();
    await isIn("main :is(a, button, input, select, summary)", `Remove ${part}`);
  }
  await press(page, "+ deposit");
  await expect(deal.field("Deposit paid")).toBeFocused();
  await press(page, "+ Note");
  await expect(page.getByLabel("Notes")).toBeFocused();
  await press(page, "+ fee");
  await page.getByRole("button", { name: "+ another fee" }).click();
  await expect(page.getByLabel("Fee 1: name")).toBeFocused();
  await press(page, "Done");
  await expect(page.getByRole("button", { name: "+ fee" })).toBeFocused();
  await press(page, "Change Fee");
  await press(page, "Done");
  await expect(page.getByRole("button", { name: "Change Fee" })).toBeFocused();
  await press(page, "Find price");
  await expect(deal.findBar.getByLabel("Payment")).toBeFocused();
  await press(page, /^find more/);
  await page.getByRole("button", { name: "Find payment" }).click();
  await expect(page.getByLabel("Make it")).toBeFocused();
  await deal.saved();
  await deal.sign();
  await expect(page.getByRole("button", { name: "Reopen to change it" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Reopen it" })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(deal.field("Price")).toBeFocused();
});

test("a press is never lost to what goes as it takes the focus", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Quill Ashdown", ...VAN });
  await press(page, "+ Note");
  await expect(page.getByLabel("Notes")).toBeFocused();
  await press(page, "+ rebate");
  await expect(page.getByLabel("Rebate 1: name")).toBeFocused();
  await press(page, "Done");
  await expect(page.getByLabel("Notes")).toBeHidden();
  await deal.field("Price").fill("31,000 − 500");
  await expect(page.getByText("= 30,500.00")).toBeVisible();
  await press(page, "+ deposit");
  await expect(deal.field("Deposit paid")).toBeFocused();
  await expect(page.getByText("= 30,500.00")).toBeHidden();
});

test("Tab goes through structure and plan by their figures; F2 leads to what a line can do", async ({
  page,
}) => {
  const deal = await openDeal(page, "Hesper Vale", "Ostrel U3");
  await expect(deal.sentence).toBeVisible();
  const tabsTo = async (from: Locator, to: Locator) => {
    await from.focus();
    for (let tabs = 1; tabs < 60; tabs++) {
      await page.keyboard.press("Tab");
      if (await to.evaluate(each => each === document.activeElement)) return tabs;
    }
    return Number.POSITIVE_INFINITY;
  };
  expect(await tabsTo(page.getByLabel("Customer"), deal.field("Price"))).toBeLessThanOrEqual(2);
  // Two fees more, an extra, a rebate, two trade-ins with what is owed on each, the cash down, and a few steps between.
  expect(
    await tabsTo(page.getByLabel("Fee 1", { exact: true }), deal.field("Number of payments")),
  ).toBeLessThan(20);
  await page.getByLabel("Fee 1", { exact: true }).focus();
  await page.keyboard.press("F2");
  await expect(page.getByRole("button", { name: "Change Documents" })).toBeFocused();
  await page.keyboard.press("F2");
  await expect(page.getByLabel("Fee 1", { exact: true })).toBeFocused();
  await deal.field("First payment").press("Alt+ArrowDown");
  await expect(page.getByRole("gridcell").first()).toBeVisible();
});

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

test("another vehicle from stock offers its prices, and changes none unasked", async ({ page }) => {
  const vehicles = [
    ["Offer van, stock 8101", 4_320_000, 4_500_000],
    ["Offer van, stock 8102", 3_990_000, 4_100_000],
  ].map(([description, priceMinor, listPriceMinor]) => ({
    description,
    priceMinor,
    listPriceMinor,
    costMinor: null,
    currency: "USD",
  }));
  expect((await page.request.post("/api/stock", { data: { vehicles } })).ok()).toBe(true);
  const deal = await newDeal(page);
  const vehicle = page.getByLabel("Vehicle or purpose");
  await vehicle.fill("Offer van, stock 8101");
  await expect(deal.field("Price")).toHaveValue("43,200.00");
  await vehicle.fill("Offer van, stock 8102");
  await expect(page.getByText("39,900.00 in stock: take it?")).toBeVisible();
  await expect(deal.field("Price")).toHaveValue("43,200.00");
  await press(page, "Take it");
  await expect(deal.field("Price")).toHaveValue("39,900.00");
  await expect(page.getByText("in stock: take")).toHaveCount(0);
  // A lease takes the list price, too.
  await page.getByLabel("Kind", { exact: true }).selectOption("lease");
  await vehicle.fill("Offer van, stock 8101");
  await expect(deal.field("List price")).toHaveValue("45,000.00");
  await expect(page.getByText("43,200.00 in stock: take it?")).toBeVisible();
});

test("deleted deals are listed and brought back; deals are found by when they were changed", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Tamsyn Orrick", ...VAN });
  await deal.saved();
  await page.goto("/?search=Orrick");
  const row = page.getByRole("row", { name: /Tamsyn Orrick/ });
  await row.getByRole("button", { name: /^Delete/ }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole("heading", { name: "Deals" }).click();
  await page.keyboard.press("Control+z");
  await expect(row).toBeVisible();
  await row.getByRole("button", { name: /^Delete/ }).click();
  await expect(row).toHaveCount(0);
  await page.reload();
  await page.getByLabel("Status").selectOption("Deleted");
  await row.getByRole("button", { name: "Bring back" }).click();
  await expect(row).toHaveCount(0);
  await page.getByLabel("Status").selectOption("Any status");
  await expect(row).toBeVisible();

  await page.getByLabel("Last changed").selectOption("Today");
  await expect(row).toBeVisible();
  await page.getByLabel("Last changed").selectOption("Last month");
  await expect(page.getByText("No deal is like that.")).toBeVisible();
  await page.getByLabel("Last changed").selectOption("Between two dates");
  await page.getByLabel("Changed from").fill("Jan 1, 2020");
  await page.getByLabel("Changed until").fill("");
  await expect(row).toBeVisible();
  await page.getByLabel("Last changed").selectOption("Any time");
  await page.getByLabel("Search the deals").fill("Orrick 2020-01-01");
  await expect(page.getByText("No deal matches this search.")).toBeVisible();
});

test("reach answers from a budget alone, in the deal's own payments; a personal loan reaches amounts", async ({
  page,
}) => {
  const deal = await newDealFromRegister(page);
  await view(page, "Reach").click();
  const reach = page.getByRole("region", { name: "Reach" });
  await page.getByLabel("What the customer can pay a month").fill("500");
  await expect(reach.getByRole("row").nth(1)).toContainText(/\d\d,\d{3}\.\d\d/);
  const payments = await reach.getByLabel("Term 1: payments").inputValue();
  await page.getByLabel("How often").selectOption("every week");
  await expect(reach.getByLabel("Term 1: payments")).toHaveValue(String((Number(payments) / 12) * 52));
  await page.getByLabel("How often").selectOption("every month");
  await press(page, "make it a personal loan");
  await expect(reach).toContainText("an amount of");
  await expect(reach.getByRole("columnheader", { name: "in stock" })).toHaveCount(0);
  await page.getByLabel("What the customer can pay a month").fill("500");
  await deal.type({ "Amount asked for": "5,000" });
  await page.getByLabel("What the customer can pay a month").fill("60,000");
  await expect(page.getByText("That is above the price of 5,000.00, each month.")).toBeVisible();
  await press(page, "600.00?");
  await expect(page.getByLabel("What the customer can pay a month")).toHaveValue("600.00");
});

test("what nobody would agree to is taken by no Enter alone", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Ives Pellow", ...VAN, "Cash down": "3,000" });
  await page.getByLabel("Which figure is wanted").selectOption({ label: "sum due at signing" });
  await page.getByLabel("Make it").fill("1,000");
  const moves = page.getByRole("table", { name: "What would have to move" });
  await expect(moves.getByRole("row", { name: /^Cash down/ })).toContainText("1,000.00");
  await page.getByLabel("Which figure is wanted").selectOption({ label: "payment" });
  await page.getByLabel("Make it").fill("100");
  await expect(moves.getByRole("row", { name: /^Price/ })).toContainText("beyond what is usual");
  await expect(moves).not.toContainText("none none");
  const now = await deal.sentence.textContent();
  await page.getByLabel("Make it").press("Enter");
  await page.waitForTimeout(300);
  expect(await deal.sentence.textContent()).toBe(now);
});

test("the palette knows what stands off the screen, and what is said of a payment, a tax, a fee or a lease", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Ives Pellow", ...VAN });
  const anything = page.getByPlaceholder(/^A command, a field/);
  const ask = async (text: string) => {
    await page.keyboard.press("Control+k");
    await anything.fill(text);
  };
  for (const [word, name] of [
    ["payoff", /^Payoff/],
    ["interest", /^Interest and finance charge/],
    ["totals", /^Totals/],
    ["print", /^Print/],
    ["export", /^Export/],
    ["new deal", /^New deal/],
    ["lease", /^Make it a lease/],
  ] as const) {
    await ask(word);
    await expect(page.getByRole("option", { name }).first()).toBeVisible();
    await page.keyboard.press("Escape");
  }
  await ask("fee 299");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Fee 1", { exact: true })).toHaveValue("299.00");
  await ask("tax 6.25");
  await page.keyboard.press("Enter");
  // 6.25 % of 30,000.00 is 1,875.00.
  await expect(page.getByTestId("amount-financed")).toHaveText("32,174.00");
  await ask("make it 500");
  await page.keyboard.press("Enter");
  await expect(page.getByLabel("Make it")).toHaveValue("500");
  await expect(page.getByRole("table", { name: "What would have to move" })).toBeVisible();
  await page.goto("/stock");
  await page.keyboard.press("Control+/");
  await expect(page.getByRole("heading", { name: "Keys" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("heading", { name: "Keys" })).toHaveCount(0);
});

test("a plain deal shows its answer and ten lines of its table at 1280 × 800, with one scroll a column", async ({
  page,
}) => {
  const deal = await openDeal(page, "Idris Vantongeren", "Larkmoor 240 campervan, stock 1187");
  await expect(deal.sentence).toBeInViewport({ ratio: 1 });
  for (const cost of ["financeCharge", "apr", "dueAtSigning", "totalCost"])
    await expect(page.getByTestId(cost)).toBeInViewport({ ratio: 1 });
  const table = page.getByRole("region", { name: "Repayment table" });
  const rows = await table.evaluate(region => {
    const { top, bottom } = region.getBoundingClientRect();
    const [head, foot] = ["thead tr", "tfoot tr"].map(
      part => region.querySelector(part)?.firstElementChild?.getBoundingClientRect().height ?? 0,
    );
    return [...region.querySelectorAll("tbody tr")].filter(row => {
      const place = row.getBoundingClientRect();
      const isWhole = place.top >= top + (head ?? 0) - 1 && place.bottom <= bottom - (foot ?? 0) + 1;
      return isWhole && place.bottom <= window.innerHeight && place.height > 10;
    }).length;
  });
  expect(rows).toBeGreaterThanOrEqual(10);
  const scrolling = await page.evaluate(() =>
    [...document.querySelectorAll("[data-testid=desk] *")].filter(each => {
      const { overflowY } = getComputedStyle(each);
      return (overflowY === "auto" || overflowY === "scroll") && each.scrollHeight > each.clientHeight + 1;
    }),
  );
  expect(scrolling.length).toBeLessThanOrEqual(2);
});

test("on a phone the sentence is in the first screen, however many options there are", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 700 });
  const deal = await openDeal(page, "Amaru Pelling", "Larkmoor 240");
  await expect(deal.sentence).toBeInViewport({ ratio: 1 });
  const [desk, sentence] = [await page.getByTestId("desk").boundingBox(), await deal.sentence.boundingBox()];
  // Two lines: who it is, and what is looked at.
  expect((sentence?.y ?? 0) - (desk?.y ?? 0)).toBeLessThan(130);
  const small = await page
    .locator("[data-testid=desk] :is(button, select, input, summary):visible")
    .evaluateAll(all =>
      all
        .map(each => ({
          name: each.getAttribute("aria-label") ?? each.textContent,
          box: each.getBoundingClientRect(),
        }))
        .filter(({ box }) => box.width > 1 && Math.min(box.width, box.height) < 23.9)
        .map(({ name, box }) => `${name} ${box.width} × ${box.height}`),
    );
  expect(small).toEqual([]);
});

test("printing prints what is in view as a page: no controls, no cut table", async ({ page }) => {
  const deal = await openDeal(page, "Idris Vantongeren", "Larkmoor 240 campervan, stock 1187");
  await expect(deal.sentence).toBeVisible();
  const printed = async () => {
    await page.emulateMedia({ media: "print" });
    await page.setViewportSize({ width: 720, height: 960 });
    await page.waitForTimeout(400);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(722);
    await expect(page.getByRole("navigation", { name: "Places" })).toBeHidden();
    await expect(page.locator("main .btn:visible")).toHaveCount(0);
    const cut = await page.locator("main *").evaluateAll(all =>
      all
        .filter(each => /auto|scroll|hidden|clip/.test(getComputedStyle(each).overflowY))
        .filter(each => each.scrollHeight > each.clientHeight + 2 && !each.closest(".sr-only"))
        .map(each => each.outerHTML.slice(0, 120)),
    );
    expect(cut).toEqual([]);
  };
  await printed();
  await expect(page.getByRole("region", { name: "Repayment table" }).getByRole("row")).toHaveCount(75);
  await page.emulateMedia({ media: "screen" });
  await page.setViewportSize({ width: 1280, height: 800 });
  await openDeal(page, "Amaru Pelling", "Larkmoor 240");
  await view(page, "Line-up").click();
  await expect(page.getByRole("rowheader", { name: "Finance charge" })).toBeVisible();
  await printed();
  await expect(page.getByRole("columnheader")).toHaveCount(4);
  await page.emulateMedia({ media: "screen" });
  await page.goto("/");
  await printed();
  await expect(page.getByRole("columnheader", { name: "Amount financed" })).toBeVisible();
});

test("a deal is a lease or a personal loan from the start; without amounts its currency can be another", async ({
  page,
}) => {
  await page.goto("/");
  await press(page, "Another kind of deal");
  await page.getByRole("button", { name: "Lease", exact: true }).click();
  await page.waitForURL("**/deals/*");
  const deal = await new DealScreen(page).ready();
  await expect(page.getByRole("heading", { name: /^Plan: lease/ })).toBeVisible();
  await page.goto("/");
  await press(page, "Another kind of deal");
  await page.getByRole("button", { name: "Personal loan", exact: true }).click();
  await page.waitForURL("**/deals/*");
  await deal.ready();
  await expect(deal.field("Amount asked for")).toBeVisible();
  for (const label of ["Cash down", "Trade-in allowance", "Deposit paid"])
    await expect(deal.field(label)).toHaveCount(0);
  await page.getByLabel("Currency").fill("EUR");
  await expect(page.getByText("running total, EUR")).toBeVisible();
  await press(page, "+ cash down");
  await expect(deal.field("Cash down")).toBeFocused();
  await deal.type({ "Amount asked for": "5,000" });
  await expect(page.getByLabel("Currency")).toHaveCount(0);
});
