// How long a vehicle is kept: what each way to pay costs by then, worked out apart, and where two of them tie.
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { DealScreen, newDeal, openView, press, typeOver, VAN } from "./officer";

const CURVE = [100, 78, 66, 56, 48, 42].map((percent, year) => ({
  month: 12 * year,
  percent: String(percent),
}));

const LOAN = {
  name: "Loan",
  structure: { price: "40000.00", down: { amount: "4000.00" } },
  plan: { kind: "loan", yearlyRate: "6.49", payments: 60, frequency: "monthly", signed: "2026-12-08" },
  find: "payment",
};

const LEASE = {
  name: "Lease",
  structure: { price: "40000.00", listPrice: "42000.00", down: { amount: "0" } },
  plan: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.00225",
    payments: 36,
    frequency: "monthly",
    inAdvance: 1,
    signed: "2026-12-08",
    residual: { amount: "18240.00" },
    distance: { perYear: 12000, unit: "mi", beyond: "0.22" },
    dispositionFee: "395.00",
    purchaseFee: "300.00",
  },
  find: "payment",
};

const FILE = {
  format: "kellux-deal",
  version: 2,
  currency: "USD",
  place: "US",
  return: { rate: "4" },
  keepFor: {
    months: 36,
    distance: 15000,
    unit: "mi",
    value: { points: CURVE, normalDistance: 12000, beyond: "0.12" },
  },
  options: [LOAN, LEASE],
};

/** Opens a deal of a file in the view. */
async function kept(page: Page, change: object = {}): Promise<DealScreen> {
  const made = await page.request.post("/api/deals/import", {
    data: { fileName: "deal.json", text: JSON.stringify({ ...FILE, ...change }) },
  });
  expect(made.status()).toBe(201);
  await page.goto(`/deals/${(await made.json()).id}`);
  const deal = await new DealScreen(page).ready();
  await openView(page, "How long");
  return deal;
}

const howLong = (page: Page) => page.getByRole("region", { name: "How long", exact: true });
const net = (page: Page, way: string) =>
  page.getByRole("region", { name: way, exact: true }).getByTestId("net-cost");
const value = (page: Page) => page.getByTestId("kept-value");

test("a loan, a lease and cash over 36 months, plain and in today's money, and where they tie", async ({
  page,
}) => {
  const deal = await kept(page);
  await expect(value(page)).toHaveText("$22,440.00");
  await expect(net(page, "Cash")).toHaveText("17,560.00");
  await expect(net(page, "Loan")).toHaveText("22,721.83");
  await expect(net(page, "Lease, returned")).toHaveText("28,852.28");
  await expect(net(page, "Lease, bought out and sold")).toHaveText("22,577.28");
  const loan = page.getByRole("region", { name: "Loan", exact: true });
  await expect(loan).toContainText("631.16 a month · 0.505 a mile");
  await expect(loan).toContainText("worth 6,629.73 more than is owed");
  const ties = page.getByRole("region", { name: "Where they tie" });
  await expect(ties).toContainText("They tie if it is worth 16,309.55.");
  await expect(ties).toContainText("They tie if money kept earns 6.6866 % a year.");
  await expect(ties).toContainText(
    "At every length up to 36 months “Loan” costs less than “Lease, returned”.",
  );
  await expect(ties).toContainText("worth exceeds owed throughout, by least after month 12, by 2,699.32");
  await page.getByRole("button", { name: "Working of Loan" }).click();
  await expect(page.getByRole("region", { name: "How Loan comes about" })).toContainText(
    "4,000.00 + 25,351.56 + 15,810.27 − 22,440.00",
  );
  await page.getByRole("radio", { name: "in today’s money" }).check();
  await expect(net(page, "Loan")).toHaveText("21,984.05");
  await expect(net(page, "Cash")).toHaveText("20,050.92");
  await expect(net(page, "Lease, returned")).toHaveText("27,131.14");
  await expect(net(page, "Lease, bought out and sold")).toHaveText("21,552.69");
  await expect(ties).toContainText("They tie if it is worth 16,650.22.");
  // All of it is the deal's.
  await deal.saved();
  await page.reload();
  await deal.ready();
  await openView(page, "How long");
  await expect(net(page, "Loan")).toHaveText("21,984.05");
});

test("a curve is dragged, moved with the arrows or typed, and what is typed wrong changes nothing", async ({
  page,
}) => {
  const deal = await kept(page);
  await expect(value(page)).toHaveText("$22,440.00");
  const point = page.getByRole("slider", { name: "Worth after 36 months" });
  await point.focus();
  await page.keyboard.press("ArrowDown");
  // One percent of the list price less.
  await expect(value(page)).toHaveText("$22,020.00");
  await expect(net(page, "Cash")).toHaveText("17,980.00");
  await deal.saved();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(value(page)).toHaveText("$22,440.00");
  const box = await point.boundingBox();
  if (!box) throw new Error("The point is not on the screen.");
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 30, { steps: 4 });
  await page.mouse.up();
  await expect(value(page)).not.toHaveText("$22,440.00");
  await typeOver(page.getByLabel("Point 4: percent"), "56");
  await expect(value(page)).toHaveText("$22,440.00");
  await typeOver(page.getByLabel("Months", { exact: true }), "3x");
  await expect(howLong(page)).toContainText("“3x” is not a number of months");
  await expect(net(page, "Cash")).toHaveText("17,560.00");
  await page.getByLabel("Point 4: month").fill("24");
  await expect(howLong(page)).toContainText("There is a point at that month already.");
});

test("beyond the end of a lease it is bought, leased again or handed back; before it what costs less is shown", async ({
  page,
}) => {
  await kept(page);
  await page.getByLabel("Months", { exact: true }).fill("24");
  await expect(page.getByRole("region", { name: "Lease, bought out early and sold" })).toContainText(
    /cheaper than ended early, \d/,
  );
  await page.getByLabel("Months", { exact: true }).fill("72");
  await expect(page.getByRole("region", { name: "Lease, bought out and sold" })).toBeVisible();
  const after = page.getByLabel("After the end of Lease");
  await after.selectOption("again");
  // Two leases, one after the other: each as much as the one alone.
  await expect(net(page, "Lease, returned")).toHaveText("57,704.56");
  await after.selectOption("handBack");
  await expect(net(page, "Lease, handed back")).toHaveText("28,852.28");
  // A seller's rebate for cash alone is a cost of the other ways.
  await page.getByLabel("In cash: Less a rebate for cash alone").fill("1500");
  await expect(howLong(page)).toContainText("1,500.00 belong in theirs");
  await page.getByLabel("Whose rebate for cash").selectOption("maker");
  await expect(howLong(page)).not.toContainText("belong in theirs");
});

test("what a loan's balloon can be given back for is agreed in the plan, and is an end of its own", async ({
  page,
}) => {
  const balloon = { amount: "15000.00", returnable: { fee: "200.00" } };
  await kept(page, { options: [{ ...LOAN, plan: { ...LOAN.plan, payments: 36, balloon } }] });
  await expect(page.getByRole("region", { name: "Loan, returned" })).toBeVisible();
  await openView(page, "Desk");
  await typeOver(page.getByLabel("Fee when given back"), "950");
  await openView(page, "How long");
  await page.getByRole("button", { name: "Working of Loan, returned" }).click();
  await expect(page.getByRole("region", { name: "How Loan, returned comes about" })).toContainText("950.00");
});

test("with the keyboard alone, on a new deal: it begins with what the house holds vehicles to be worth", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type(VAN);
  await page.keyboard.press("Control+k");
  await expect(page.getByRole("combobox", { name: "Do anything" })).toBeFocused();
  await page.keyboard.type("Show How long");
  await expect(page.getByTestId("will-do")).toContainText("Shows how long");
  await page.keyboard.press("Enter");
  await page.getByLabel("Months", { exact: true }).focus();
  await page.keyboard.type("48");
  await page.keyboard.press("Tab");
  await page.keyboard.type("10,000");
  // 54 % of the price, for no list price is known.
  await expect(value(page)).toHaveText("$16,200.00");
  await expect(howLong(page)).toContainText("none is known, so they are of the price");
  await expect(page.getByRole("radio", { name: "in today’s money" })).toBeDisabled();
  await page.getByLabel("Yearly return").focus();
  await page.keyboard.type("5");
  await page.getByRole("radio", { name: "in today’s money" }).focus();
  await page.keyboard.press("Space");
  await expect(page.getByRole("radio", { name: "in today’s money" })).toBeChecked();
  // A personal loan has nothing to keep.
  await openView(page, "Desk");
  await press(page, /make it a personal loan/);
  await openView(page, "How long");
  await expect(howLong(page)).toContainText("A personal loan has no vehicle");
});

test("how long has nothing to find fault with, and stands on a phone", async ({ page }) => {
  await kept(page);
  await page.getByRole("button", { name: "Working of Lease, returned" }).click();
  await page.getByText("The chart as a table").click();
  await expectNoAxeFindings(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(net(page, "Loan")).toHaveText("22,721.83");
  const width = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(width).toBeLessThanOrEqual(390);
  await expectNoAxeFindings(page);
});
