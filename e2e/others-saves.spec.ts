// A page that is open learns of what others save meanwhile.
import { expect, type Page, test } from "@playwright/test";
import { hearsNothing, newDeal, VAN } from "./officer";

/** Looked at again, as after another window: what is asked every few seconds is asked at once. */
const lookAgain = (page: Page) => page.evaluate(() => void window.dispatchEvent(new Event("focus")));

const TEN_SECONDS = 10_000;

type LoanDeal = { version: number; document: { options: { id: string; name: string; inputs: Inputs }[] } };
type Inputs = { structure: Record<string, unknown> };

async function dealOf(page: Page): Promise<{ path: string; deal: LoanDeal }> {
  const path = `/api/deals/${page.url().split("/").at(-1)}`;
  return { path, deal: await (await page.request.get(path)).json() };
}

/** Somebody else saves another price. */
async function savePrice(page: Page, price: string): Promise<void> {
  const { path, deal } = await dealOf(page);
  const options = deal.document.options.map(option => ({
    ...option,
    inputs: { ...option.inputs, structure: { ...option.inputs.structure, price } },
  }));
  const answer = await page.request.put(path, { data: { version: deal.version, change: { options } } });
  expect(answer.status()).toBe(200);
}

test("a deal shows what somebody else has saved: when it is looked at again, and within ten seconds by itself", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Maren Castellane", ...VAN });
  await deal.saved();
  const price = page.getByLabel("Price", { exact: true });
  await savePrice(page, "36000.00");
  await lookAgain(page);
  await expect(price).toHaveValue("36,000.00");
  await savePrice(page, "37000.00");
  await expect(price).toHaveValue("37,000.00", { timeout: TEN_SECONDS });
  await deal.saved();
  // What is being typed stays, and what others have saved comes in with its save.
  await page.getByLabel("Customer").fill("Maren Castellane-Wherry");
  await savePrice(page, "38000.00");
  await lookAgain(page);
  await deal.saved();
  await expect(price).toHaveValue("38,000.00");
  await expect(page.getByLabel("Customer")).toHaveValue("Maren Castellane-Wherry");
});

test("two at one deal: each is told of the other, and has what the other saves at once", async ({
  page,
  browser,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Isolde Crane", ...VAN });
  await deal.saved();
  const others = (of: Page) => of.locator("[data-others]");
  await expect(others(page)).toHaveText("");
  // Of another browser.
  const elsewhere = await browser.newContext();
  const there = await elsewhere.newPage();
  await there.goto(page.url());
  await expect(others(page)).toHaveText("1 other has it open");
  await expect(others(there)).toHaveText("1 other has it open");
  const again = await elsewhere.newPage();
  await again.goto(page.url());
  await expect(others(there)).toHaveText("1 other has it open, and another window");
  await expect(others(page)).toHaveText("1 other has it open");

  /** Sooner than pages look by themselves. */
  const arrives = async (from: Page, to: Page, label: string, typed: string, shown: string) => {
    const field = to.getByLabel(label, { exact: true });
    const seen = expect(field).toHaveValue(shown, { timeout: 6000 });
    await from.getByLabel(label, { exact: true }).fill(typed);
    await seen;
  };
  await arrives(page, there, "Price", "41234", "41,234.00");
  await arrives(there, page, "Number of payments", "48", "48");
  // What is being typed on one stays, and what it does not touch comes in.
  await there.getByLabel("Yearly rate", { exact: true }).fill("5.");
  await arrives(page, there, "Price", "42000", "42,000.00");
  await expect(there.getByLabel("Yearly rate", { exact: true })).toHaveValue("5.");
  await elsewhere.close();
  await expect(others(page)).toHaveText("");
});

test("a deal says that it was deleted, brought back, signed and opened again somewhere else", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Idris Quarles", ...VAN });
  await deal.saved();
  const { path, deal: kept } = await dealOf(page);
  expect((await page.request.delete(`${path}?version=${kept.version}`)).status()).toBe(200);
  await lookAgain(page);
  await expect(deal.status).toContainText("This deal was deleted.");
  expect((await page.request.post(`${path}/restore`)).status()).toBe(200);
  await lookAgain(page);
  await deal.saved();
  const heading = { customer: "Idris Quarles", vehicle: "", status: "signed" };
  const signed = await page.request.put(path, { data: { version: kept.version, change: { heading } } });
  expect(signed.status()).toBe(200);
  await lookAgain(page);
  await expect(page.getByLabel("Signed", { exact: true })).toBeVisible();
  const { version } = await signed.json();
  expect((await page.request.post(`${path}/reopen?version=${version}`)).status()).toBe(200);
  await lookAgain(page);
  await expect(page.getByLabel("Signed", { exact: true })).toBeHidden();
  await expect(page.getByLabel("Price", { exact: true })).toBeEditable();
});

test("the register, the stock and the settings show what somebody else has saved", async ({ page }) => {
  const vehicle = (priceMinor: number) => ({
    description: "Ostrel Watched trailer, stock 9001",
    priceMinor,
    costMinor: null,
    listPriceMinor: null,
    currency: "USD",
  });
  const put = async (priceMinor: number) =>
    (await page.request.post("/api/stock", { data: { vehicles: [vehicle(priceMinor)] } })).json();
  // What the page is told of by itself would come before what is typed over it unseen.
  await hearsNothing(page);
  await page.goto("/stock");
  const [kept] = (await put(100_00)).vehicles;
  await lookAgain(page);
  const asked = page.getByLabel("Asking price of Ostrel Watched trailer, stock 9001");
  await expect(asked).toHaveValue("100.00");
  // Who has not seen a change neither undoes it nor takes the vehicle out.
  await put(200_00);
  await asked.fill("150");
  await asked.press("Enter");
  await expect(page.getByText(/^Somebody else has changed it meanwhile/)).toBeVisible();
  await asked.press("Escape");
  await expect(asked).toHaveValue("200.00");
  // Nor who began to type before it came into view.
  await asked.fill("160");
  const { vehicles: before } = await (await page.request.get("/api/stock")).json();
  const { version: now } = before.find(({ id }: { id: string }) => id === kept.id);
  const changed = await page.request.put(`/api/stock/${kept.id}?version=${now}`, { data: vehicle(210_00) });
  expect(changed.status()).toBe(200);
  const heard = page.waitForResponse(/\/api\/stock$/);
  await lookAgain(page);
  await heard;
  await asked.press("Enter");
  await expect(page.getByText(/^Somebody else has changed it meanwhile/)).toBeVisible();
  await asked.press("Escape");
  await expect(asked).toHaveValue("210.00");
  const stale = await page.request.delete(`/api/stock/${kept.id}?version=${kept.version}`);
  expect(stale.status()).toBe(409);
  await page.getByRole("button", { name: "Remove Ostrel Watched trailer, stock 9001 from stock" }).click();
  await expect(asked).toHaveCount(0);

  await page.goto("/");
  const file = {
    format: "kellux-deal",
    version: 1,
    currency: "USD",
    structure: { price: "30000.00" },
    plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 },
    find: "payment",
  };
  await expect(page.getByRole("row", { name: /Watched Customer/ })).toHaveCount(0);
  await page.request.post("/api/deals/import", {
    data: { fileName: "Watched Customer.json", text: JSON.stringify(file) },
  });
  await lookAgain(page);
  await expect(page.getByRole("row", { name: /Watched Customer/ })).toHaveCount(1);

  await page.goto("/settings");
  const { version, settings } = await (await page.request.get("/api/settings")).json();
  const save = (from: number, name: string) =>
    page.request.put("/api/settings", {
      data: { version: from, settings: { ...settings, houseName: name } },
    });
  expect((await save(version, "Watched House")).status()).toBe(200);
  await lookAgain(page);
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Watched House");
  expect((await save(version + 1, settings.houseName)).status()).toBe(200);
});
