import { expect, type Locator, test } from "@playwright/test";
import { newDeal, openDeal, press, VAN, view } from "./officer";

const MOST_IN_A_PLACE = 24;

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
    const count = await inputs.count();
    // Of a long table some of every part: its rows are all alike.
    const step = Math.ceil(count / MOST_IN_A_PLACE);
    for (let index = 0; index < count; index += step) {
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

test("changes that wait are said where they move no row away from a press, and one press saves them", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Wilmot Carrow", ...VAN });
  await deal.saved();
  await page.route("**/api/deals/*", route =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await deal.type({ Price: "31,000" });
  await expect(deal.status).not.toContainText(/^Saved/);
  await page.goto("/");
  const waiting = page.getByRole("alert").filter({ hasText: "Changes that could not be saved" });
  await expect(waiting).toBeInViewport();
  const [said, list] = [await waiting.boundingBox(), await page.getByRole("table").boundingBox()];
  expect(said?.y).toBeGreaterThan(list?.y ?? Number.POSITIVE_INFINITY);
  await page.unroute("**/api/deals/*");
  await waiting.getByRole("link", { name: "Wilmot Carrow" }).click();
  await deal.saved();
  await expect(deal.field("Price")).toHaveValue("31,000.00");
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
