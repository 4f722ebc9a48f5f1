// Lenders' programs: files of them are looked at before they are taken in; on a deal it is told which fit, and what would make the others.
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { DealScreen, view } from "./officer";

/** A buy rate that stands nowhere else. */
const TELLTALE = "6.4877";

const FITTING = {
  name: "New vehicles",
  kind: "loan",
  currency: "USD",
  mostDebtToIncome: "48.4377",
  rates: [{ from: 24, to: 84, score: { least: 660 }, buyRate: TELLTALE, mostSpread: "0" }],
  rateStep: "0.01",
};
const LOW = {
  ...FITTING,
  name: "Low loan",
  mostLoanTo: [{ percent: "90", of: "listPrice", what: "all" }],
};
const SHORT = { ...FITTING, name: "Short", rates: [{ from: 24, to: 60, buyRate: "5.00", mostSpread: "0" }] };

const ratesFile = (lender: string, programs: readonly object[]) =>
  JSON.stringify({ format: "kellux-rates", version: 1, lenders: [{ name: lender, programs }] }, null, 2);

/** Chooses a file on the page of rates. */
const choose = (page: Page, name: string, text: string) =>
  page
    .getByLabel("File of rates to take in")
    .setInputFiles({ name, mimeType: "application/octet-stream", buffer: Buffer.from(text) });

/** Takes a lender's programs in by the server's door. */
async function offered(page: Page, lender: string, programs: readonly object[]): Promise<void> {
  const { mark } = await (await page.request.get("/api/rates")).json();
  const taken = await page.request.put(`/api/rates?name=rates.json&mark=${mark}`, {
    headers: { "content-type": "text/plain" },
    data: ratesFile(lender, programs),
  });
  expect(taken.status()).toBe(200);
}

/** No lender but those of the test. */
async function noRates(page: Page): Promise<void> {
  for (;;) {
    const { mark, lenders } = await (await page.request.get("/api/rates")).json();
    if (lenders.length === 0) return;
    await page.request.post("/api/rates/remove", { data: { mark, lender: lenders[0].name } });
  }
}

/** 38,425.00 over 72 months at 6.49 %, and what a lender asks of its customer; its id. */
async function dealOf(page: Page, customer: string): Promise<string> {
  const option = {
    structure: {
      price: "41850.00",
      listPrice: "40000.00",
      fees: [{ name: "Title", amount: "635.00" }],
      extras: [{ name: "Service contract", amount: "1890.00" }],
      tradeIns: [{ name: "Ostrel U1", allowance: "9200.00", owed: "11050.00" }],
      rebates: [{ name: "Maker's rebate", amount: "1800.00" }],
      down: { amount: "6000.00" },
    },
    plan: { kind: "loan", frequency: "monthly", yearlyRate: "7.10", payments: 72 },
    find: "payment",
  };
  const applicant = { score: 704, income: "5207.31", housing: "900.00", debts: "640.00" };
  const file = { format: "kellux-deal", version: 2, currency: "USD", place: "US", customer, applicant };
  const made = await page.request.post("/api/deals/import", {
    data: { fileName: "deal.json", text: JSON.stringify({ ...file, options: [option] }) },
  });
  expect(made.status()).toBe(201);
  const { id } = await made.json();
  await page.goto(`/deals/${id}`);
  await new DealScreen(page).ready();
  return id;
}

const programs = (page: Page) => page.getByRole("region", { name: "Programs" });

test("a file of rates is looked at before it is taken in, and what is wrong with one stands at its line", async ({
  page,
}) => {
  await noRates(page);
  await page.goto("/rates");
  await expect(page.getByText("No lender’s programs are here yet")).toBeVisible();
  await expect(page.getByRole("button", { name: "Bring in a file" })).toHaveCount(0);
  await page.keyboard.press("Control+.");
  await expect(page.getByRole("button", { name: "Bring in a file" })).toBeVisible();
  const text = ratesFile("Tern Lending", [FITTING, LOW]);
  const broken = text.replace('"to": 84', '"to": 12');
  const line = broken.slice(0, broken.indexOf('"to": 12')).split("\n").length - 2;
  await choose(page, "tern.json", broken);
  await expect(page.getByRole("main").getByRole("alert")).toContainText(
    "tern.json was not taken in; nothing has changed.",
  );
  await expect(page.getByRole("main").getByRole("alert")).toContainText(
    new RegExp(`Line ${line}, column \\d+: Tern Lending, New vehicles: it is from 24 to 12 months`),
  );
  await choose(page, "tern.json", text);
  const look = page.getByRole("region", { name: "What tern.json would change" });
  await expect(look).toContainText("New: 2");
  await expect(page.getByRole("region", { name: "Tern Lending" })).toHaveCount(0);
  await look.getByRole("button", { name: "Take it in" }).click();
  const lender = page.getByRole("region", { name: "Tern Lending" });
  await lender.getByRole("button", { name: "Low loan", exact: true }).click();
  await expect(lender).toContainText("90 % of list price");
  await expectNoAxeFindings(page);
  // As a table: one program is another now, one is new, one is gone.
  const head =
    "lender,program,kind,currency,from month,to month,buy rate,least score,most spread,rate step,most debt to income";
  const rows = [
    "Tern Lending,New vehicles,loan,USD,24,84,6.4877,660,0,0.01,50",
    "Tern Lending,Short,loan,USD,24,60,5.00,660,0,0.01,45",
  ];
  await choose(page, "tern.csv", [head, ...rows].join("\n"));
  const second = page.getByRole("region", { name: "What tern.csv would change" });
  await expect(second).toContainText("New: 1Tern Lending · Short");
  await expect(second).toContainText(
    "Changed: 1Tern Lending · New vehicles: most debt to income: 48.4377 % → 50 %",
  );
  await expect(second).toContainText("Gone: 1Tern Lending · Low loan");
  await second.getByRole("button", { name: "Leave it" }).click();
  await expect(lender.getByRole("button", { name: "Low loan", exact: true })).toBeVisible();
  // What is taken out can be put back.
  await lender.getByRole("button", { name: "Remove New vehicles" }).click();
  await expect(lender.getByRole("button", { name: "New vehicles", exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(lender.getByRole("button", { name: "New vehicles", exact: true })).toBeVisible();
  await page.keyboard.press("Control+.");
  await expect(page.getByText(TELLTALE)).toHaveCount(0);
});

test("what makes a program fit becomes an option with the keyboard alone", async ({ page }) => {
  await noRates(page);
  await offered(page, "Tern Lending", [FITTING, LOW, SHORT]);
  const id = await dealOf(page, "Keyed Programs");
  const deal = new DealScreen(page);
  const tabTo = async (name: RegExp) => {
    const isThere = () =>
      page.evaluate(
        source => new RegExp(source).test(document.activeElement?.textContent ?? ""),
        name.source,
      );
    for (let step = 0; step < 120 && !(await isThere()); step++) await page.keyboard.press("Tab");
    expect(await isThere()).toBe(true);
  };
  await page.keyboard.press("Control+.");
  await tabTo(/^Rates$/);
  // The first is the page of all rates, at the side.
  if ((await page.evaluate(() => document.activeElement?.tagName)) === "A") {
    await page.keyboard.press("Tab");
    await tabTo(/^Rates$/);
  }
  await page.keyboard.press("Enter");
  await expect(programs(page).getByRole("heading", { name: "1 of 3 programs fits" })).toBeVisible();
  const low = programs(page).getByRole("listitem").filter({ hasText: "Low loan" }).first();
  // 38,425.00 of 40,000.00; 36,000.00 would do.
  await expect(low).toContainText("loan 96.1 % of list price, at most 90 %");
  await expect(low).toContainText("fits with2,425.00 more down");
  await expect(low).toContainText("604.99");
  await tabTo(/^2,425\.00 more down$/);
  await page.keyboard.press("Enter");
  await expect(deal.sentence).toContainText("$604.99");
  await expect(deal.sentence).toContainText("$8,425.00");
  await expect(programs(page)).toContainText("This option is from Tern Lending · Low loan.");
  await expect(programs(page).getByRole("heading", { name: "2 of 3 programs fit" })).toBeVisible();
  await expectNoAxeFindings(page);
  const side = page.getByRole("region", { name: "What this option earns" });
  await expect(side.getByLabel("Buy rate")).toHaveValue(TELLTALE);
  // A score sets the rate: the deal reminds of the notice once.
  await expect(side).toContainText("12 CFR 1022.72 to 74");
  await side.getByRole("button", { name: "I have seen to it" }).click();
  await expect(side).not.toContainText("12 CFR 1022.72 to 74");
  await expect(side.getByTestId("save-status")).toContainText(/^Saved \d/);
  // A figure that then breaks a limit is marked where it is typed.
  await page.getByLabel("Cash down", { exact: true }).fill("6,000");
  await expect(side).toContainText("Beyond it now: loan 96.1 % of list price, at most 90 %");
  await expect(deal.field("Price")).toHaveAttribute("title", /loan 96\.1 % of list price/);
  await page.keyboard.press("Control+z");
  await expect(side).not.toContainText("Beyond it now");
  // What its lender changes since is told.
  await offered(page, "Tern Lending", [{ ...LOW, mostDebtToIncome: "46" }]);
  await page.evaluate(() => window.dispatchEvent(new Event("focus")));
  await expect(side).toContainText("It has changed since.");
  await expect(side).toContainText("most debt to income: 48.4377 % → 46 %");
  const { document } = await (await page.request.get(`/api/deals/${id}/dealer`)).json();
  expect(Object.values(document.options)).toHaveLength(1);
  expect(document.scoreNoticeOn).toMatch(/^\d{4}-\d\d-\d\d$/);
});

test("with the dealer's side closed nothing of a program but its name, rate, payment and cost reaches the page", async ({
  page,
}) => {
  await noRates(page);
  const invoiced = { ...FITTING, name: "Scored", rates: [{ ...FITTING.rates[0], score: { least: 745 } }] };
  await offered(page, "Tern Lending", [FITTING, LOW, SHORT, invoiced]);
  await dealOf(page, "Closed Programs");
  const bodies: string[] = [];
  page.on("response", async response => {
    if (!response.request().url().includes("/api/")) return;
    bodies.push(await response.text().catch(() => ""));
  });
  await view(page, "Rates").click();
  await expect(programs(page).getByRole("heading", { name: "1 of 4 programs fits" })).toBeVisible();
  await expect(programs(page)).toContainText("72 payments, at most 60");
  await expect(programs(page).getByLabel("Spread in points of rate")).toHaveCount(0);
  const deal = new DealScreen(page);
  // Taken into the open option, and taken back.
  await programs(page).getByRole("button", { name: "Use here : New vehicles" }).click();
  await expect(deal.sentence).toContainText("6.49 %");
  await expect(page.getByRole("button", { name: /^Undo: (?!nothing)/ })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(deal.sentence).toContainText("7.10 %");
  await programs(page).getByRole("button", { name: "Make it an option : New vehicles" }).click();
  await expect(deal.sentence).toContainText("6.49 %");
  await expect(deal.sentence).toContainText("$645.74");
  await deal.saved();
  await page.waitForTimeout(500);
  for (const told of [...bodies, await page.content()])
    for (const secret of [TELLTALE, 'buyRate":"', "48.4377", "5207.31", "mostDebtToIncome"])
      expect(told).not.toContain(secret);
  // It is kept all the same.
  await page.keyboard.press("Control+.");
  await expect(
    page.getByRole("region", { name: "What this option earns" }).getByLabel("Buy rate"),
  ).toHaveValue(TELLTALE);
});

test("on a phone each program is a block with its figures by their names", async ({ page }) => {
  await noRates(page);
  await offered(page, "Tern Lending", [FITTING, LOW]);
  await dealOf(page, "Small Programs");
  await page.setViewportSize({ width: 390, height: 844 });
  await view(page, "Rates").click();
  await expect(programs(page)).toContainText("payment 645.74");
  const button = programs(page).getByRole("button", { name: "Make it an option : New vehicles" });
  await expect(button).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test("what is beyond the limits of the place is said and marked, and nothing is kept from being done", async ({
  page,
}) => {
  const before = await (await page.request.get("/api/settings")).json();
  await page.goto("/settings#limits");
  const card = page.getByRole("region", { name: "Limits of the place" });
  await card.getByLabel("Most rate a year").fill("7");
  await card.getByLabel("Most term in months").fill("72");
  await card.getByLabel("Name of the document fee").fill("Title");
  await card.getByLabel("Most document fee").fill("600");
  await page.keyboard.press("Tab");
  await expect
    .poll(async () => (await (await page.request.get("/api/settings")).json()).settings.limits)
    .toMatchObject({ mostRate: "7", mostTerm: 72, documentFee: { name: "Title", most: "600.00" } });
  await dealOf(page, "Beyond The Place");
  const deal = new DealScreen(page);
  const said = page.getByText("Beyond the limits of the place");
  await expect(said).toContainText("rate 7.10 %, at most 7 %; Title 635.00, at most 600.00.");
  await expect(deal.field("Yearly rate")).toHaveAttribute("title", /rate 7\.10 %/);
  await expect(deal.field("Fee 1")).toHaveAttribute("title", /Title 635\.00/);
  await deal.type({ "Yearly rate": "7", "Fee 1": "600" });
  await expect(said).toHaveCount(0);
  await expect(deal.field("Yearly rate")).not.toHaveAttribute("data-beyond");
  await deal.type({ "Number of payments": "73" });
  await expect(said).toContainText("73 months, at most 72.");
  await deal.saved();
  const { version } = await (await page.request.get("/api/settings")).json();
  await page.request.put("/api/settings", { data: { version, settings: before.settings } });
});
