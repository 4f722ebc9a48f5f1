import { spawnSync } from "node:child_process";
import { readFile, writeFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { strFromU8, unzipSync } from "fflate";
import PostalMime from "postal-mime";
import { PAPER_FACTS, PAPER_NAMES } from "@/exchange/papers/paper-kinds";
import { DealScreen, openView, press } from "./officer";

/** A number that stands in every place of the dealer's side, and nowhere else. */
const TELLTALE = "7395.18";
const TOLD = /7,?395[.,]18|739518|73[.,]9518/;
const RATE = "73.9518";

const OPTION = {
  structure: {
    price: "30000.00",
    fees: [{ name: "Documents", amount: "299.00" }],
    extras: [{ name: "Gap cover", amount: "640.00" }],
    tradeIns: [{ name: "Ostrel U1", allowance: "9000.00", owed: "0" }],
    rebates: [{ name: "Maker's rebate", amount: "800.00" }],
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 },
  find: "payment",
};
const DEALER = {
  cost: TELLTALE,
  feeCosts: [TELLTALE],
  extraCosts: [TELLTALE],
  tradeInValues: [TELLTALE],
  ownRebates: [TELLTALE],
  lenderFee: TELLTALE,
  others: [{ name: `Holdback ${TELLTALE}`, amount: TELLTALE, in: "front" }],
  buyRate: RATE,
  reserve: { method: "presentValue", share: RATE, most: TELLTALE },
  officerShare: { percent: RATE, less: TELLTALE },
  spreadReason: { words: `Because of ${TELLTALE}` },
  lenderAnswers: [
    {
      lender: `Lender ${TELLTALE}`,
      state: "funded",
      amount: TELLTALE,
      buyRate: RATE,
      stipulations: [{ name: `Proof of ${TELLTALE}` }],
      funded: TELLTALE,
      reserveReceived: TELLTALE,
    },
  ],
  chargedBack: [{ on: "2026-11-30", amount: TELLTALE }],
  program: {
    lender: "Tern Lending",
    program: {
      name: "New vehicles",
      kind: "loan",
      currency: "USD",
      amount: { most: TELLTALE },
      rates: [{ from: 12, to: 84, buyRate: RATE, mostSpread: RATE }],
      reserve: { method: "flat", amount: TELLTALE },
    },
  },
};
const APPLICANT = { income: TELLTALE, housing: TELLTALE, debts: TELLTALE, paidOff: TELLTALE };

/** A deal of which the dealer's side knows everything; its id. */
async function told(page: Page, customer: string): Promise<string> {
  const file = {
    format: "kellux-deal",
    version: 2,
    currency: "USD",
    customer,
    applicant: APPLICANT,
    options: [{ ...OPTION, dealer: DEALER }],
  };
  const made = await page.request.post("/api/deals/import", {
    data: { fileName: "told.json", text: JSON.stringify(file) },
  });
  expect(made.status()).toBe(201);
  return (await made.json()).id;
}

const sideOf = (page: Page) => page.getByRole("region", { name: "What this option earns" });

async function openSide(page: Page): Promise<void> {
  await page.keyboard.press("Control+.");
  await expect(sideOf(page).getByLabel("Cost of the vehicle")).toBeVisible();
}

const FILES = { pdf: "PDF", ics: "iCalendar", xlsx: "XLSX" };

/** What a file says: of a PDF what is read of it, where it can be; of a letter all that it encloses, too. */
async function textsIn(bytes: Buffer, path: string): Promise<string[]> {
  if (bytes.subarray(0, 5).toString() === "%PDF-") {
    const read = spawnSync("pdftotext", [path, "-"], { encoding: "utf8" });
    return read.status === 0 ? [read.stdout] : [];
  }
  if (bytes.subarray(0, 2).toString() === "PK")
    return [
      Object.values(unzipSync(bytes))
        .map(content => strFromU8(content))
        .join("\n"),
    ];
  if (!bytes.toString().startsWith("X-Unsent")) return [bytes.toString()];
  const mail = await PostalMime.parse(bytes);
  expect(mail.attachments.length).toBeGreaterThan(3);
  const enclosed = mail.attachments.map(async ({ content }, index) => {
    const file = `${path}-${index}`;
    await writeFile(file, Buffer.from(content as ArrayBuffer));
    return textsIn(await readFile(file), file);
  });
  return [mail.text ?? "", ...(await Promise.all(enclosed)).flat()];
}

const textOf = async (page: Page) =>
  [
    await page.content(),
    ...(await page
      .locator("input, textarea")
      .evaluateAll(all => all.map(field => (field as HTMLInputElement).value))),
    await page.evaluate(() => JSON.stringify([{ ...localStorage }, { ...sessionStorage }])),
  ].join("\n");

/** Opens the customer's window with everything on it, and listens to all that goes over to it. */
async function expectSafeScreen(page: Page, deal: DealScreen, customer: string): Promise<void> {
  await page.evaluate(() => {
    const said: string[] = [];
    new BroadcastChannel("kellux-customer").onmessage = ({ data }) => said.push(JSON.stringify(data));
    Object.assign(window, { said });
  });
  await page.getByRole("button", { name: "Customer screen" }).click();
  const panel = page.getByRole("region", { name: "Customer screen" });
  for (const part of await panel.getByRole("group", { name: "On it" }).getByRole("checkbox").all())
    await part.check();
  const [screen] = await Promise.all([
    page.waitForEvent("popup"),
    panel.getByRole("button", { name: "Open its window" }).click(),
  ]);
  await page.keyboard.press("Escape");
  await deal.type({ Customer: `${customer} and others` });
  await expect(screen.getByTestId("customer-screen")).toContainText(`${customer} and others`);
  await deal.type({ Customer: customer });
  await expect(screen.getByTestId("customer-screen")).not.toContainText("and others");
  const said: string[] = await page.evaluate(() => (window as unknown as { said: string[] }).said);
  expect(said.some(text => text.includes('"shown"'))).toBe(true);
  expect(said.filter(text => TOLD.test(text))).toEqual([]);
  expect(TOLD.test(await textOf(screen))).toBe(false);
  await screen.close();
  await expect(deal.status.last()).toContainText(/^Saved \d/);
}

test("nothing of the dealer's side is on a page, on the wire, in the browser or in a file before it is asked for", async ({
  page,
}) => {
  // It goes through every page, paper and file, and the customer's window twice.
  test.slow();
  const heard: string[] = [];
  page.on("response", async response => {
    const text = await response.text().catch(() => "");
    if (TOLD.test(text)) heard.push(response.url());
  });
  const id = await told(page, "Telltale Quince");
  const { settings, version } = await (await page.request.get("/api/settings")).json();
  const extras = [...(settings.extras ?? []), { id: "telltale", name: "Telltale cover", amount: "10.00" }];
  await page.request.put("/api/settings", { data: { version, settings: { ...settings, extras } } });
  const house = await (await page.request.get("/api/settings/dealer")).json();
  await page.request.put("/api/settings/dealer", {
    data: {
      version: house.version,
      dealer: { extraCosts: { ...house.dealer.extraCosts, telltale: TELLTALE } },
    },
  });
  const van = {
    description: "Telltale van, stock 9001",
    priceMinor: 100,
    listPriceMinor: null,
    currency: "USD",
  };
  const known = { ...van, costMinor: 739_518, invoiceMinor: 739_518 };
  const stocked = await page.request.post("/api/stock", { data: { vehicles: [known] } });
  const [{ id: vanId }] = (await stocked.json()).vehicles;
  // A change of it, so that its history has something to tell.
  const { version: at, document } = await (await page.request.get(`/api/deals/${id}/dealer`)).json();
  expect(JSON.stringify(document)).toMatch(TOLD);
  const [option = ""] = Object.keys(document.options);
  const changed = { options: { [option]: { ...document.options[option], cost: "1.00" } } };
  expect(
    (await page.request.put(`/api/deals/${id}/dealer`, { data: { version: at, dealer: changed } })).ok(),
  ).toBe(true);

  for (const path of [
    `/api/deals/${id}`,
    `/api/deals/${id}/history`,
    `/api/deals/${id}/history/1`,
    "/api/deals?search=telltale",
    "/api/deals/all",
    "/api/stock",
    "/api/settings",
    "/api/names?vehicle=telltale",
    "/api/names?customer=telltale",
    `/api/records/vehicle/${vanId}`,
  ])
    expect([path, TOLD.test(await (await page.request.get(path)).text())]).toEqual([path, false]);
  for (const path of ["/", "/?search=telltale", "/stock", "/rates", "/settings", "/earned", `/deals/${id}`]) {
    await page.goto(path, { waitUntil: "networkidle" });
    expect([path, TOLD.test(await textOf(page))]).toEqual([path, false]);
  }
  const deal = await new DealScreen(page).ready();
  for (const name of [
    "Line-up",
    "Reach",
    "Map",
    "Rates",
    "How long",
    "History",
    "Desk",
    "Customer and vehicle",
  ]) {
    await openView(page, name);
    expect([name, TOLD.test(await textOf(page))]).toEqual([name, false]);
  }
  await deal.type({ Customer: "Telltale Quince-Vale" });
  await deal.saved();
  await expectSafeScreen(page, deal, "Telltale Quince-Vale");
  const exported = async (press: () => Promise<void>) => {
    const [download] = await Promise.all([page.waitForEvent("download"), press()]);
    return readFile(await download.path(), "utf8");
  };
  expect(await exported(() => page.getByTitle("Export the deal as a file").click())).not.toMatch(TOLD);
  // What is for the customer has neither notes nor budget, though they are the officer's and not the dealer's.
  await press(page, "+ Note");
  await page.getByLabel("Notes").fill("Would take less");
  await deal.saved();
  const theirs = await exported(async () => {
    await page.keyboard.press("Control+k");
    await page.keyboard.type("for the customer");
    await page.getByRole("option", { name: "Export deal for the customer" }).click();
  });
  expect(theirs).not.toMatch(TOLD);
  expect(theirs).not.toContain("Would take less");
  expect(JSON.parse(theirs)).toMatchObject({ version: 2, customer: "Telltale Quince-Vale" });
  expect(JSON.parse(theirs)).not.toHaveProperty("notes");
  // Papers are made of what customers may see and of nothing else.
  await press(page, "Papers");
  // Which there are not is known.
  await expect(page.getByRole("region", { name: "Papers" })).toContainText("A calendar needs days");
  await press(page, "Letter (e-mail) …");
  for (const box of await page
    .getByRole("group", { name: "What the letter encloses" })
    .getByRole("checkbox")
    .all())
    if (await box.isEnabled()) await box.check();
  const files = PAPER_NAMES.map(name => PAPER_FACTS[name]).map(({ name, ending }) =>
    ending === "eml" ? "Make the letter" : `${name} (${FILES[ending]})`,
  );
  for (const name of [...files, "Deal file for the customer (JSON)"]) {
    const button = page.getByRole("button", { name, exact: true });
    // Without a day there is no calendar of this deal.
    if (await button.isDisabled()) continue;
    const [download] = await Promise.all([page.waitForEvent("download"), button.click()]);
    for (const text of await textsIn(await readFile(await download.path()), await download.path())) {
      expect([name, TOLD.test(text), text.includes("Would take less")]).toEqual([name, false, false]);
      expect(text).toMatch(/Telltale Quince-Vale|For the desk/);
    }
  }
  await press(page, "Papers");
  await page.getByLabel("Notes").fill("");
  await deal.saved();
  expect(heard).toEqual([]);

  // Asked for, it is there; closed, it is gone again.
  await openSide(page);
  await expect(page.getByLabel("Cost of Gap cover")).toHaveValue("7,395.18");
  await expect(page.getByLabel("Worth of Ostrel U1")).toHaveValue("7,395.18");
  expect(await exported(() => page.getByRole("button", { name: "Export with costs" }).click())).toMatch(TOLD);
  await expectSafeScreen(page, deal, "Telltale Quince-Vail");
  // What is printed may be handed over.
  await page.emulateMedia({ media: "print" });
  await expect(page.getByLabel("Cost of Gap cover")).toBeHidden();
  await page.emulateMedia({ media: "screen" });
  await sideOf(page)
    .getByRole("button", { name: /close it now/ })
    .click();
  await expect(sideOf(page)).toHaveCount(0);
  expect(await textOf(page)).not.toMatch(TOLD);

  await page.goto("/stock");
  expect(await exported(() => page.getByRole("button", { name: "CSV", exact: true }).click())).not.toMatch(
    TOLD,
  );
  await page.getByRole("button", { name: "Show costs" }).click();
  await expect(page.getByLabel("Cost to the dealer of Telltale van, stock 9001")).toHaveValue("7,395.18");
  expect(await exported(() => page.getByRole("button", { name: "CSV", exact: true }).click())).toMatch(TOLD);
  await page.getByRole("button", { name: "Hide costs" }).click();
  expect(await textOf(page)).not.toMatch(TOLD);
  // Taken out and brought back by one who never saw it, the vehicle has its cost again.
  await page.getByRole("button", { name: "Remove Telltale van, stock 9001 from stock" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByLabel("Description of Telltale van, stock 9001")).toBeVisible();
  await page.getByRole("button", { name: "Show costs" }).click();
  await expect(page.getByLabel("Cost to the dealer of Telltale van, stock 9001")).toHaveValue("7,395.18");
  await page.getByRole("button", { name: "Remove Telltale van, stock 9001 from stock" }).click();
  await expect(page.getByLabel("Description of Telltale van, stock 9001")).toHaveCount(0);

  const now = await (await page.request.get("/api/settings")).json();
  await page.request.put("/api/settings", { data: { version: now.version, settings } });
});

test("what lines cost is typed and kept, said in its own history, and survives the line's going and coming back", async ({
  page,
}) => {
  const id = await told(page, "Maren Telling");
  await page.goto(`/deals/${id}`);
  const deal = await new DealScreen(page).ready();
  await openSide(page);
  const side = sideOf(page);
  await side.getByLabel("Cost of Gap cover").fill("abc");
  await expect(side.getByText("“abc” is not an amount")).toBeVisible();
  await side.getByLabel("Cost of Gap cover").fill("310");
  await expect(side.getByText("“abc” is not an amount")).toHaveCount(0);
  await side.getByLabel("Cost of the vehicle").fill("");
  await expect(side.getByTestId("save-status")).toContainText(/^Saved \d/);
  await side.getByText("What was changed here").click();
  // Kept together or one after the other, as quickly as it was typed.
  const changes = side.getByRole("listitem").filter({ hasText: "cost of" });
  await expect(changes.filter({ hasText: "cost of the vehicle 7,395.18 removed" })).toHaveCount(1);
  await expect(changes.filter({ hasText: "cost of Gap cover 7,395.18 → 310.00" })).toHaveCount(1);
  await side.getByRole("button", { name: /close it now/ }).click();

  // The line goes and comes back while nothing of it is on the page.
  await page.getByRole("button", { name: "Change Gap cover" }).click();
  await page.getByRole("button", { name: "Remove", exact: true }).click();
  await deal.saved();
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Extra 1", { exact: true })).toHaveValue("640.00");
  await deal.saved();
  await page.reload();
  await deal.ready();
  await openSide(page);
  await expect(side.getByLabel("Cost of Gap cover")).toHaveValue("310.00");
  await expect(side.getByLabel("Cost of the vehicle")).toHaveValue("");
});

test("a usual extra that is taken comes with what it costs, by one who has not seen that", async ({
  page,
}) => {
  const id = await told(page, "Ivo Taken");
  await page.goto(`/deals/${id}`);
  const deal = await new DealScreen(page).ready();
  await page.getByRole("button", { name: "+ extra" }).click();
  await page.getByRole("button", { name: /Service contract, 5 years/ }).click();
  await expect(page.getByLabel("Extra 2", { exact: true })).toHaveValue("1,890.00");
  await deal.saved();
  await openSide(page);
  await expect(page.getByLabel("Cost of Service contract, 5 years")).toHaveValue("1,040.00");
});

test("two who change the dealer's side at once keep both figures", async ({ page, context }) => {
  const id = await told(page, "Two Tellers");
  const other = await context.newPage();
  for (const each of [page, other]) {
    await each.goto(`/deals/${id}`);
    await new DealScreen(each).ready();
    await openSide(each);
    await expect(each.getByLabel("Cost of Gap cover")).toHaveValue("7,395.18");
  }
  await page.getByLabel("Cost of Gap cover").fill("310");
  await expect(sideOf(page).getByTestId("save-status")).toContainText(/^Saved \d/);
  // It comes in by itself, and with a save that has not seen it.
  await expect(other.getByLabel("Cost of Gap cover")).toHaveValue("310.00");
  await Promise.all([
    page.getByLabel("Cost of Gap cover").fill("311"),
    other.getByLabel("Cost of Documents").fill("12"),
  ]);
  await expect(other.getByLabel("Cost of Gap cover")).toHaveValue("311.00");
  await expect
    .poll(async () =>
      JSON.stringify((await (await page.request.get(`/api/deals/${id}/dealer`)).json()).document),
    )
    .toMatch(/"fee-1":"12\.00".*"extra-1":"311\.00"/);
  await other.close();
});

test("the door of the dealer's side refuses what is wrong with a sentence", async ({ page }) => {
  const id = await told(page, "Wrong Telling");
  const put = async (data: unknown) => {
    const answer = await page.request.put(`/api/deals/${id}/dealer`, { data });
    return [answer.status(), (await answer.json()).error];
  };
  expect(await put({ version: 1, dealer: { options: { x: {} } } })).toEqual([
    422,
    "dealer.options.x is not known.",
  ]);
  expect(await put({ version: 1, dealer: { income: "1" } })).toEqual([422, "dealer.income is not known."]);
  expect(await put({ version: 99, dealer: {} })).toEqual([
    409,
    "The dealer's side was changed and saved somewhere else since you opened it.",
  ]);
  expect((await page.request.get(`/api/deals/${id}/history?with=all`)).status()).toBe(400);
  expect((await page.request.get("/api/deals/00000000-0000-4000-8000-000000000000/dealer")).status()).toBe(
    404,
  );
});

test("what could not be saved of it when the page went is saved by the next that opens it", async ({
  page,
}) => {
  const id = await told(page, "Left Telling");
  await page.goto(`/deals/${id}`);
  const deal = await new DealScreen(page).ready();
  await openSide(page);
  await expect(page.getByLabel("Cost of Gap cover")).toHaveValue("7,395.18");
  await page.route("**/dealer", route =>
    route.request().method() === "PUT" ? route.abort() : route.continue(),
  );
  await page.getByLabel("Cost of Gap cover").fill("311");
  await expect(sideOf(page).getByTestId("save-status")).not.toContainText(/^Saved/);
  await page.reload();
  // What is on its way while requests are let go again may be lost: the page is there before.
  await deal.ready();
  await page.unroute("**/dealer");
  await openSide(page);
  await expect(page.getByLabel("Cost of Gap cover")).toHaveValue("311.00");
  await expect
    .poll(async () =>
      JSON.stringify((await (await page.request.get(`/api/deals/${id}/dealer`)).json()).document),
    )
    .toContain('"extra-1":"311.00"');
});

test("what a page of before sends of an extra's cost with the deal is of the dealer's side", async ({
  page,
}) => {
  const option = "11111111-1111-4111-8111-111111111111";
  const inputs = (cost: string) => ({
    ...{ format: "kellux-deal", version: 1, currency: "USD" },
    ...OPTION,
    structure: { price: "30000.00", extras: [{ name: "Gap cover", amount: "640.00", cost }] },
  });
  const options = (cost: string) => [{ id: option, name: "", inputs: inputs(cost) }];
  const heading = { customer: "Before Telling", vehicle: "", status: "quoting" };
  const made = await page.request.post("/api/deals", {
    data: { document: { ...heading, chosen: option, options: options("310.00") } },
  });
  expect(made.status()).toBe(201);
  const { id, version, document } = await made.json();
  expect(JSON.stringify(document)).not.toContain("cost");
  const known = async () => (await (await page.request.get(`/api/deals/${id}/dealer`)).json()).document;
  expect(await known()).toEqual({ options: { [option]: { costs: { "extra-1": "310.00" } } } });
  const saved = await page.request.put(`/api/deals/${id}`, {
    data: { version, change: { options: options("320.00") } },
  });
  expect(saved.status()).toBe(200);
  expect(JSON.stringify(await saved.json())).not.toContain("cost");
  expect(await known()).toEqual({ options: { [option]: { costs: { "extra-1": "320.00" } } } });
  const wrong = await page.request.put(`/api/deals/${id}`, {
    data: { version, change: { options: options("cheap") } },
  });
  expect([wrong.status(), (await wrong.json()).error]).toEqual([
    422,
    expect.stringContaining('extraCosts.0 is "cheap"; it must be an amount'),
  ]);
});
