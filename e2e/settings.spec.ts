import { readFile } from "node:fs/promises";
import { type APIRequestContext, expect, type Page, test } from "@playwright/test";
import { SECTIONS } from "@/features/shell/settings-sections";
import { expectNoAxeFindings } from "./axe";
import { hearsNothing, newDeal, newDealFromRegister, VAN } from "./officer";

type Kept = { version: number; settings: Record<string, unknown> };

const kept = async (request: APIRequestContext): Promise<Kept> => (await request.get("/api/settings")).json();

/** The demo's settings, which every test starts from. */
let demo: Record<string, unknown>;

test.beforeAll(async ({ request }) => {
  demo = (await kept(request)).settings;
});

test.afterEach(async ({ request }) => {
  const { version } = await kept(request);
  const put = await request.put("/api/settings", { data: { version, settings: demo } });
  expect(put.status()).toBe(200);
});

async function openSettings(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("link", { name: "Settings" }).click();
  await expect(page.getByRole("heading", { name: "Settings" })).toBeVisible();
}

async function settled(page: Page): Promise<void> {
  await expect(page.getByTestId("save-status")).toContainText(/^Saved \d/);
}

/** The switch that puts a line or a profile into every new deal. */
const inEveryDeal = (page: Page, name: string) =>
  page
    .getByRole("listitem")
    .filter({ has: page.getByRole("button", { name: `Change ${name}` }) })
    .getByLabel("in every new deal");

test("a new deal starts with what is settled, and stays as it is when that changes", async ({ page }) => {
  await openSettings(page);
  await page.getByLabel("Yearly rate").fill("7.25");
  await page.getByLabel("Number of payments").fill("48");
  await page.getByLabel("Payment rounded").selectOption("up");
  await page.getByRole("textbox", { name: "Fee 1", exact: true }).fill("305");
  await inEveryDeal(page, "Documents").check();
  await inEveryDeal(page, "Marrow Bay, new vehicle").check();
  await settled(page);

  const deal = await newDealFromRegister(page);
  await expect(deal.noAnswer).toContainText("The price is missing.");
  await expect(deal.field("Yearly rate")).toHaveValue("7.25");
  await expect(deal.field("Number of payments")).toHaveValue("48");
  await deal.type({ Price: "20,000" });
  // 6.25 % of 20,305.00 is 1,269.06; 21,574.06 at 7.25 % ÷ 12 over 48, rounded up.
  await expect(page.getByTestId("amount-financed")).toHaveText("21,574.06");
  await expect(deal.sentence).toContainText("48 monthly payments of $519.13");
  await deal.saved();
  const address = page.url();

  await openSettings(page);
  await page.getByRole("textbox", { name: "Fee 1", exact: true }).fill("900");
  await page.getByRole("button", { name: "Change Marrow Bay, new vehicle" }).click();
  await page.getByRole("textbox", { name: "Tax 1: rate" }).fill("9");
  await settled(page);
  await page.goto(address);
  await expect(page.getByTestId("amount-financed")).toHaveText("21,574.06");
});

test("usual fees and a tax profile are taken into a deal, one press each", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ ...VAN, Price: "20,000" });
  await page.getByRole("button", { name: "+ fee" }).click();
  await page.getByRole("group", { name: "Usual fees" }).getByRole("button", { name: "Documents" }).click();
  await expect(page.getByTestId("amount-financed")).toHaveText("20,299.00");
  await page.getByRole("button", { name: "+ extra" }).click();
  await page.getByRole("button", { name: "+ Gap cover" }).click();
  await expect(page.getByTestId("amount-financed")).toHaveText("20,939.00");
  await page.getByRole("button", { name: "+ tax" }).click();
  await page.getByRole("button", { name: "+ Marrow Bay, new vehicle" }).click();
  // 6.25 % of 20,299.00 is 1,268.69.
  await expect(page.getByTestId("amount-financed")).toHaveText("22,207.69");
  await page.getByRole("button", { name: "+ tax" }).click();
  await page.getByRole("button", { name: "+ Tax in the price" }).click();
  await expect(page.getByTestId("amount-financed")).toHaveText("20,939.00");
  await page.getByRole("button", { name: "+ fee" }).click();
  await page.getByRole("button", { name: "+ another fee" }).click();
  await expect(page.getByLabel("Fee 2: name")).toBeFocused();
});

test("figures and dates are those of the house's place, or of the deal's own", async ({ page }) => {
  await openSettings(page);
  await page.getByLabel("Formats").selectOption("de-DE");
  await page.getByLabel("Currency").fill("EUR");
  await page.getByLabel("Yearly rate").fill("6,49");
  await settled(page);
  const deal = await newDeal(page);
  await deal.type({
    Customer: "Ottilie Marsham",
    Price: "41.850,50",
    "Cash down": "3.000",
    "Contract date": "24.11.2026",
    "Number of payments": "72",
  });
  await expect(deal.sentence).toContainText(/At a price of 41\.850,50\s€ with 3\.000,00\s€ cash down/);
  await expect(deal.sentence).toContainText("the first on 24.12.2026, at 6,49 %");
  await expect(page.getByTestId("effectiveRate")).toHaveText("6,69 %");
  await expect(page.getByRole("row", { name: /^1 24\.12\.2026/ })).toBeVisible();
  await deal.field("Price").fill("41.85,5.1");
  await expect(deal.field("Price")).toHaveAccessibleDescription(
    "“41.85,5.1” is not an amount; type one such as 41.850,00.",
  );
  await deal.field("Price").fill("41.850,50");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "CSV for a spreadsheet" }).click(),
  ]);
  const lines = (await readFile(await download.path(), "utf8")).split("\r\n");
  expect(lines[1]).toBe("0;24.11.2026;0,00;0,00;0,00;38850,50;start");
  await page.getByLabel("Formats").selectOption("en-IN");
  await expect(deal.field("Contract date")).toHaveValue("24 Nov 2026");
  await deal.field("Price").fill("12,41,850");
  await deal.field("Cash down").focus();
  await expect(deal.field("Price")).toHaveValue("12,41,850.00");
  await deal.saved();
  await page.reload();
  await expect(deal.field("Price")).toHaveValue("12,41,850.00");

  await page.goto("/?search=9.238.850,00");
  await expect(page.getByText("No deal matches this search.")).toBeVisible();
  await page.goto("/?search=1.238.850,00");
  await expect(page.getByRole("row", { name: /Ottilie Marsham/ })).toContainText("1.238.850,00 EUR");
});

test("settings leave as a file and come in again; a file that is none changes nothing", async ({
  page,
  request,
}) => {
  await openSettings(page);
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export settings", exact: true }).click(),
  ]);
  const text = await readFile(await download.path(), "utf8");
  expect(JSON.parse(text)).toEqual(demo);
  const bringIn = (name: string, contents: string) =>
    page
      .getByLabel("Settings file to import")
      .setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(contents) });
  const before = await kept(request);
  await bringIn("broken.json", "{nope");
  await expect(page.getByText("broken.json: This is not JSON.")).toBeVisible();
  await bringIn("wrong.json", text.replace('"USD"', '"QQQ"'));
  await expect(page.getByText("QQQ is not a known currency", { exact: false })).toBeVisible();
  expect(await kept(request)).toEqual(before);
  await bringIn("settings.json", text.replace("Tarn & Hollow", "Tarn & Hollow, by the quay"));
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Tarn & Hollow, by the quay");
  await page.goto("/");
  await expect(page.getByText("Tarn & Hollow, by the quay")).toBeVisible();
});

test("what stands on papers is settled, a logo with it; a file of the settings brings the picture along", async ({
  page,
  request,
}) => {
  await page.goto("/settings#papers");
  await page.getByLabel("Officer’s name").fill("Ana Quill");
  // One red dot.
  const png = Buffer.from(
    "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8DwHwAFBQIAX8jx0gAAAABJRU5ErkJggg==",
    "base64",
  );
  await page
    .getByLabel("Logo (PNG or JPEG")
    .setInputFiles({ name: "l.png", mimeType: "image/png", buffer: png });
  await expect(page.getByAltText("Logo of the house")).toBeVisible();
  await page
    .getByLabel("Logo (PNG or JPEG")
    .setInputFiles({ name: "l.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(page.getByText("This is no PNG or JPEG picture that can be read.")).toBeVisible();
  await page.getByLabel("Given papers are kept for (months)").fill("24");
  await expect(page.getByText("a number from 25 to 1,200")).toBeVisible();
  await page.getByLabel("Given papers are kept for (months)").fill("30");
  await settled(page);
  await expectNoAxeFindings(page);
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export settings", exact: true }).click(),
  ]);
  const { papers } = JSON.parse(await readFile(await download.path(), "utf8"));
  expect(papers).toMatchObject({ officer: "Ana Quill", monthsKept: 30 });
  const { version, settings } = await kept(request);
  const image = { ...settings, papers };
  const put = await request.put("/api/settings", { data: { version, settings: image } });
  // The same picture is known by the same digest.
  expect((await put.json()).settings).toEqual(settings);
});

test("two pages that change the settings: nothing is lost unasked", async ({ page, context }) => {
  await hearsNothing(page);
  await openSettings(page);
  const other = await context.newPage();
  await hearsNothing(other);
  await openSettings(other);
  await other.getByLabel("Yearly rate").fill("8");
  await settled(other);
  await page.getByLabel("Number of payments").fill("36");
  await expect(page.getByRole("alert").filter({ hasText: "changed somewhere else" })).toBeVisible();
  await page.getByRole("button", { name: "Take the saved ones" }).click();
  await expect(page.getByLabel("Yearly rate")).toHaveValue("8");
  await expect(page.getByLabel("Number of payments")).toHaveValue("60");
  await other.getByLabel("Yearly rate").fill("9");
  await settled(other);
  await page.getByLabel("Number of payments").fill("36");
  await page.getByRole("button", { name: "Save these over them" }).click();
  await settled(page);
  await page.reload();
  await expect(page.getByLabel("Number of payments")).toHaveValue("36");
  await expect(page.getByLabel("Yearly rate")).toHaveValue("8");
});

test("light or dark is the house's, whatever the system asks", async ({ page }) => {
  await page.emulateMedia({ colorScheme: "light" });
  await openSettings(page);
  await page.getByLabel("Light or dark").selectOption("dark");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "lamplight");
  await settled(page);
  await page.goto("/");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "lamplight");
  await openSettings(page);
  await page.getByLabel("Light or dark").selectOption("system");
  await settled(page);
  await page.goto("/");
  await expect(page.locator("html")).not.toHaveAttribute("data-theme", /./);
});

test("the place whose law counts is the house's when a deal is made, and the deal's own from then on", async ({
  page,
}) => {
  await openSettings(page);
  await page.getByLabel("Law of").selectOption("United Kingdom");
  await settled(page);
  const deal = await newDealFromRegister(page);
  const law = (place: string) => page.getByRole("button", { name: place, exact: true });
  await deal.type({ Customer: "Lawrence Quay", ...VAN });
  await law("law: GB").click();
  await page.getByLabel("Place whose law counts").selectOption("law: no place’s");
  await deal.saved();
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Place whose law counts")).toHaveValue("GB");
  await page.keyboard.press("Control+Shift+z");
  await expect(page.getByLabel("Place whose law counts")).toHaveValue("");
  await deal.saved();
  await page.reload();
  const place = page.getByLabel("Place whose law counts");
  // Pressed again where the page was not alive yet.
  await expect(async () => {
    if (!(await place.isVisible())) await law("law: no place’s").click({ timeout: 1_000 });
    await expect(place).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await place.selectOption("law: Germany");
  await deal.saved();
  const address = page.url();
  await openSettings(page);
  await page.getByLabel("Law of").selectOption("no place");
  await settled(page);
  await page.goto(address);
  await expect(law("law: DE")).toBeVisible();
});

test("each section has a card of its own, led to from the list beside it and, by what stands in it, from the palette", async ({
  page,
}) => {
  await openSettings(page);
  const list = page.getByRole("navigation", { name: "Sections of the settings" });
  for (const { id, name } of SECTIONS) {
    await list.getByRole("link", { name, exact: true }).click();
    await expect(page.locator(`#${id}`).getByRole("heading", { level: 2 })).toHaveText(name);
    await expect(page.locator(`#${id}`)).toBeInViewport();
  }
  await newDeal(page);
  await page.keyboard.press("Control+k");
  await page.keyboard.type("whose law");
  await page.getByRole("option", { name: "Settings: house" }).click();
  await page.waitForURL("**/settings#house");
  await expect(page.locator("#house")).toBeFocused();
});
