import { expect, type Locator, type Page } from "@playwright/test";
import { newDealDocument } from "@/exchange/new-deal/new-deal";

/** The deal screen as an officer uses it. */
export class DealScreen {
  readonly sentence: Locator;
  readonly status: Locator;
  readonly noAnswer: Locator;
  readonly findBar: Locator;

  constructor(readonly page: Page) {
    this.sentence = page.getByTestId("sentence");
    this.status = page.getByTestId("save-status");
    this.noAnswer = page.getByTestId("no-answer");
    this.findBar = page.getByTestId("find-bar");
  }

  /** Waits until the screen takes what is typed. */
  async ready(): Promise<this> {
    await expect(this.page.getByTestId("desk")).toBeVisible();
    return this;
  }

  field(label: string): Locator {
    return this.page.getByRole("textbox", { name: label, exact: true });
  }

  async type(figures: Record<string, string>): Promise<void> {
    for (const [label, text] of Object.entries(figures))
      await this.page.getByLabel(label, { exact: true }).fill(text);
  }

  /** Signs the deal, whose chosen option is asked about. */
  async sign(): Promise<void> {
    await this.page.getByRole("button", { name: "Sign …" }).click();
    await this.page.getByRole("dialog").getByRole("button", { name: /^Sign/ }).click();
  }

  async saved(): Promise<void> {
    await expect(this.status).toContainText(/^Saved \d/);
  }
}

/** Makes a new deal by the register's button. */
export async function newDealFromRegister(page: Page): Promise<DealScreen> {
  await page.goto("/");
  await page.getByRole("button", { name: "New deal" }).click();
  await page.waitForURL("**/deals/*");
  return new DealScreen(page).ready();
}

/** Makes what that button makes and opens it, without the register, which many tests have no other use for. */
export async function newDeal(page: Page): Promise<DealScreen> {
  const { settings } = await (await page.request.get("/api/settings")).json();
  const today = new Date().toISOString().slice(0, 10);
  const made = await page.request.post("/api/deals", {
    data: { document: newDealDocument(today, settings) },
  });
  expect(made.status()).toBe(201);
  await page.goto(`/deals/${(await made.json()).id}`);
  return new DealScreen(page).ready();
}

/** Opens a customer's deal from the register, on whatever page it stands there; of several the one that was changed last. */
export async function openDeal(page: Page, customer: string, vehicle: string): Promise<DealScreen> {
  await page.goto(`/?search=${encodeURIComponent(customer)}`);
  await page
    .getByRole("row", { name: `${customer} ${vehicle}` })
    .getByRole("link")
    .first()
    .click();
  await page.waitForURL("**/deals/*");
  return new DealScreen(page).ready();
}

/** Types a name and picks the first thing that is known by it, told from others by its remark. */
export async function pick(page: Page, label: string, text: string, remark: string | RegExp = text) {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole("option", { name: remark }).first().click();
}

/** A van of 30,000.00 at 6 % over 60 payments: 579.98 a month. */
/** Has a page hear nothing of what others save, as where it is one of many: it learns of it by its own saves, and some seconds later. */
export const hearsNothing = (page: Page) => page.route("**/api/changes?*", route => route.abort());

export const VAN = { Price: "30,000", "Yearly rate": "6", "Number of payments": "60" };

/** The button of a view of the deal. */
export const view = (page: Page, name: string) =>
  page.getByRole("navigation", { name: "Views of the deal" }).getByRole("button", { name, exact: true });

/** Opens a view of the deal, also one that waits under "More views". */
export async function openView(page: Page, name: string): Promise<void> {
  if ((await view(page, name).count()) === 0) await page.getByRole("button", { name: "More views" }).click();
  await view(page, name).click();
}

/** Presses the first button of a name. */
export const press = (page: Page, name: string | RegExp) =>
  page.getByRole("button", { name }).first().click();

/** Types as an officer does, key by key, over what stands in a field. */
export async function typeOver(field: Locator, text: string): Promise<void> {
  await field.click();
  await field.pressSequentially(text);
}
