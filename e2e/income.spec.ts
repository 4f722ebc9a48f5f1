// What a deal earns the dealer: opened by one key, typed and asked without a pointer, closed by itself.
import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { DealScreen, view } from "./officer";

const DEALER = {
  cost: "36100.00",
  tradeInValues: ["8700.00"],
  feeCosts: [null, "0.00"],
  extraCosts: ["1040.00"],
  reserve: { method: "presentValue", most: "2500.00", chargeback: { until: 6, then: "byInterest" } },
  officerShare: { percent: "12", of: "back", less: "200.00" },
};
const OPTION = {
  structure: {
    price: "41850.00",
    fees: [
      { name: "Title", amount: "336.00" },
      { name: "Document fee", amount: "299.00" },
    ],
    extras: [{ name: "Service contract", amount: "1890.00" }],
    tradeIns: [{ name: "Ostrel U1", allowance: "9200.00", owed: "11050.00" }],
    rebates: [{ name: "Maker's rebate", amount: "1800.00" }],
    down: { amount: "6000.00" },
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};

/** A deal that earns something, opened; its id. */
async function earning(page: Page, customer: string, change: object = {}, dealer: object = DEALER) {
  const file = { format: "kellux-deal", version: 2, currency: "USD", place: "US", customer, ...change };
  const options = [
    { ...OPTION, dealer },
    { ...OPTION, plan: { ...OPTION.plan, payments: 60, yearlyRate: "6.19" }, dealer: { cost: "36100.00" } },
  ];
  const made = await page.request.post("/api/deals/import", {
    data: { fileName: "earning.json", text: JSON.stringify({ ...file, options }) },
  });
  expect(made.status()).toBe(201);
  const { id } = await made.json();
  await page.goto(`/deals/${id}`);
  await new DealScreen(page).ready();
  return id as string;
}

const side = (page: Page) => page.getByRole("region", { name: "What this option earns" });

test("what an option earns is typed, asked and taken with the keyboard alone", async ({ page }) => {
  const id = await earning(page, "Keyed Earning");
  const deal = new DealScreen(page);
  const tabTo = async (label: string) => {
    const isThere = () =>
      page.evaluate(name => document.activeElement?.getAttribute("aria-label") === name, label);
    for (let step = 0; step < 90 && !(await isThere()); step++) await page.keyboard.press("Tab");
    expect(await isThere()).toBe(true);
  };
  await page.keyboard.press("Control+.");
  await expect(side(page)).toContainText("The buy rate is missing");
  await tabTo("Buy rate");
  await page.keyboard.type("5.25");
  await expect(side(page)).toContainText("officer: 12 % of the back gross less 200.00: 244.01");
  for (const figure of ["5,750.00", "299.00", "−500.00", "5,549.00", "850.00", "1,383.44", "2,233.44"])
    await expect(side(page).getByText(figure, { exact: true }).first()).toBeVisible();
  await expect(side(page).getByLabel("Earned in all")).toHaveText("7,782.44");
  await tabTo("To be earned");
  await page.keyboard.type("2,000");
  await expect(side(page)).toContainText("7.035 %");
  await expect(side(page)).toContainText("payment 655.75, earns 2,000.86");
  await page.keyboard.press("Enter");
  await expect(deal.field("Yearly rate")).toHaveValue("7.035");
  await expect(deal.sentence).toContainText("$655.75");
  await expectNoAxeFindings(page);
  await page.keyboard.press("Control+.");
  await expect(side(page)).toHaveCount(0);
  await deal.saved();
  expect(await page.content()).not.toContain("2,000.86");
  // What was typed there is kept, and told in its own lines of the history alone.
  const { changes } = await (await page.request.get(`/api/deals/${id}/history?with=dealer`)).json();
  expect(JSON.stringify(changes)).toContain("buy rate 5.25");
  expect(await (await page.request.get(`/api/deals/${id}/history`)).text()).not.toContain("5.25");
});

test("the line-up has what each option earns while the side is open, which closes after five minutes without a key", async ({
  page,
}) => {
  await page.clock.install();
  await earning(page, "Rested Earning", {}, { ...DEALER, buyRate: "5.25" });
  await view(page, "Line-up").click();
  await expect(page.getByRole("row", { name: /^Total cost/ })).toBeVisible();
  await expect(page.getByRole("row", { name: /^Front gross/ })).toHaveCount(0);
  await page.keyboard.press("Control+.");
  await expect(page.getByRole("row", { name: /^Front gross/ })).toContainText("5,549.00");
  await expect(page.getByRole("row", { name: /^Earned in all/ })).toContainText("7,782.44");
  await page.clock.fastForward("04:30");
  await page.keyboard.press("Shift");
  await page.clock.fastForward("04:00");
  await expect(page.getByRole("row", { name: /^Front gross/ })).toBeVisible();
  await page.clock.fastForward("01:05");
  await expect(page.getByRole("row", { name: /^Front gross/ })).toHaveCount(0);
  await expect(page.getByRole("link", { name: "Earned" })).toHaveCount(0);
});

test("lenders answer, figures beyond an approval are marked where they are typed, and a signed deal is in transit", async ({
  page,
}) => {
  const lenderAnswers = [
    {
      lender: "Quillon Mutual",
      state: "approved",
      on: "2026-11-24",
      amount: "38000.00",
      payments: 72,
      stipulations: [{ name: "Proof of income" }, { name: "Insurance" }],
    },
  ];
  const known = { ...DEALER, buyRate: "5.25", lenderAnswers, spreadReason: { words: "Longer advice" } };
  const id = await earning(page, "Lent Earning", {}, known);
  await page.keyboard.press("Control+.");
  await side(page).getByText("Lenders’ answers: 1").click();
  await expect(side(page)).toContainText("38,425.00 is 425.00 more than the 38,000.00 approved.");
  await expect(page.getByLabel("Price", { exact: true })).toHaveAttribute("data-beyond", "");
  await side(page).getByLabel("Lender 1: amount").fill("39,000");
  await expect(page.getByLabel("Price", { exact: true })).not.toHaveAttribute("data-beyond");
  await side(page).getByLabel("Lender 1: Proof of income is there").check();
  await side(page).getByLabel("Lender 1: how it stands").selectOption("declined");
  await expect(side(page)).toContainText("Every lender has declined: the customer is to have a notice");
  await side(page).getByLabel("Lender 1: how it stands").selectOption("approved");
  await side(page).getByText("How the lender pays, and the officer’s share").click();
  await side(page).getByLabel("Service contract comes back by time").check();
  await side(page).getByLabel("Service contract: months over which it comes back").fill("60");
  await side(page).getByText("What was charged back: 0").click();
  await expectNoAxeFindings(page);
  // What earns so much can be an option of its own.
  await side(page).getByRole("textbox", { name: "To be earned", exact: true }).fill("2,000");
  await expect(side(page)).toContainText("7.035 %");
  await page.keyboard.press("Shift+Enter");
  await expect(page.getByLabel("Yearly rate", { exact: true })).toHaveValue("7.035");
  await expect(page.getByRole("button", { name: /^Undo: (?!nothing)/ })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Yearly rate", { exact: true })).toHaveValue("6.49");
  await expect(side(page).getByTestId("save-status")).toContainText(/^Saved \d/);
  const { document: kept } = await (await page.request.get(`/api/deals/${id}/dealer`)).json();
  expect(JSON.stringify(kept)).toContain('"extraChargebacks":{"extra-1":{"term":60}}');
  const [recap] = await Promise.all([
    page.waitForEvent("download"),
    side(page).getByRole("button", { name: "Deal recap (PDF)" }).click(),
  ]);
  expect((await readFile(await recap.path())).subarray(0, 5).toString()).toBe("%PDF-");
  await page.keyboard.press("Control+.");
  await expect(page.getByLabel("Price", { exact: true })).not.toHaveAttribute("title", /approved/);

  await page.getByLabel("Customer", { exact: true }).fill("Lent Earning");
  await new DealScreen(page).saved();
  await new DealScreen(page).sign();
  await expect(page.getByText(/^Signed on /)).toBeVisible();
  await page.goto("/earned");
  await expect(page.getByText("What deals earn is of the dealer’s side, which is closed.")).toBeVisible();
  await page.keyboard.press("Control+.");
  const transit = page.getByRole("region", { name: /^Contracts in transit/ });
  await expect(transit.getByRole("row", { name: /^Lent Earning/ })).toContainText("Quillon Mutual");
  await expect(transit.getByRole("row", { name: /^Lent Earning/ })).toContainText("Insurance");
  const signed = page.getByRole("region", { name: "Signed, deal by deal" });
  const row = signed.getByRole("row", { name: /^Lent Earning/ });
  for (const text of ["5,549.00", "2,233.44", "1,383.44", "244.01", "1.24", "Longer advice"])
    await expect(row).toContainText(text);
  await expectNoAxeFindings(page);
  const [csv] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "CSV", exact: true }).click(),
  ]);
  expect(await readFile(await csv.path(), "utf8")).toMatch(
    /Lent Earning,,USD,5549\.00,2233\.44,1383\.44,244\.01,1\.24,Longer advice/,
  );
  // On the way through the app it stays open; what the house has settled is changed there.
  await page.getByRole("link", { name: "Settings" }).click();
  await expect(page.getByLabel("Usual spread")).toBeVisible();
  expect((await page.request.get(`/api/deals/${id}/dealer`)).ok()).toBe(true);
});

test("the doors of what is earned refuse what is wrong; commission stands on a proposal by an express choice alone", async ({
  page,
}) => {
  const flat = { ...DEALER, reserve: { method: "flat", amount: "400.00" } };
  const id = await earning(page, "Told Commission", { place: "GB" }, flat);
  const refused = async (path: string, verb: "get" | "post" = "get") => {
    const answer = await page.request[verb](path);
    return [answer.status(), (await answer.json()).error];
  };
  expect(await refused("/api/earned?month=2026-13")).toEqual([422, "A month is written as 2026-11."]);
  expect(await refused(`/api/deals/${id}/dealer/recap?day=soon`)).toEqual([
    400,
    expect.stringContaining("must name the day on the paper"),
  ]);
  const { version, document } = await (await page.request.get(`/api/deals/${id}`)).json();
  const [option] = document.options;
  const proposal = (more: string) =>
    `/api/deals/${id}/papers/proposal?options=${option.id}&version=${version}&day=2026-11-30${more}`;
  expect(await refused(proposal("&commission=2"), "post")).toEqual([
    400,
    "The address can ask for the amount of the commission by commission=1.",
  ]);
  for (const more of ["", "&commission=1"])
    expect((await page.request.post(proposal(more))).status()).toBe(200);
});
