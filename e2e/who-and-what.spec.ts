import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { newDeal, pick, press, VAN } from "./officer";

/** The deal that a page shows, as it is kept. */
const keptDeal = async (page: Page) =>
  (await page.request.get(page.url().replace("/deals/", "/api/deals/"))).json();

async function dealOf(page: Page, customer: string, vehicle: string): Promise<string> {
  const deal = await newDeal(page);
  await deal.type({ Customer: customer, "Vehicle or purpose": vehicle, ...VAN });
  await deal.saved();
  return page.url();
}

test("two customers of one name stay two, told apart by what they last bought where one is picked", async ({
  page,
}) => {
  await dealOf(page, "Oona Twice", "A harmonium");
  const first = (await keptDeal(page)).document.customer;
  await dealOf(page, "Oona Twice", "A summer house");
  expect((await keptDeal(page)).document.customer).toEqual({
    id: expect.not.stringMatching(first.id),
    name: first.name,
  });
  const deal = await newDeal(page);
  await page.getByLabel("Customer", { exact: true }).fill("oona");
  await expect(page.getByRole("listbox", { name: "What is known" }).getByRole("option")).toHaveText([
    /Oona Twice.*A /,
    /Oona Twice.*A /,
  ]);
  await expectNoAxeFindings(page);
  await page.getByRole("option", { name: /A harmonium/ }).click();
  await expect(page.getByLabel("Customer", { exact: true })).toHaveValue("Oona Twice");
  await deal.saved();
  expect((await keptDeal(page)).document.customer).toEqual(first);
  await page.keyboard.press("Control+z");
  await expect(page.getByLabel("Customer", { exact: true })).toHaveValue("");
});

test("a name that another deal has, typed over, asks whether it is the same person", async ({ page }) => {
  const first = await dealOf(page, "Perrin Mispelt", "A barge");
  const deal = await newDeal(page);
  await pick(page, "Customer", "Perrin Mispelt");
  await deal.saved();
  await page.reload();
  await deal.ready();
  const customer = page.getByLabel("Customer", { exact: true });
  await customer.fill("Perrin Misspelt");
  await customer.press("Tab");
  await expect(
    page.getByText("Perrin Mispelt has another deal. Is Perrin Misspelt the same person?"),
  ).toBeVisible();
  await press(page, "Somebody else");
  await deal.saved();
  const { document } = await keptDeal(page);
  await page.goto(first);
  await deal.ready();
  await expect(customer).toHaveValue("Perrin Mispelt");
  // The other one is picked again, and typed over once more: now it is the same person.
  await pick(page, "Customer", "Perrin Misspelt");
  await deal.saved();
  expect((await keptDeal(page)).document.customer).toEqual(document.customer);
  await page.reload();
  await deal.ready();
  await customer.fill("Perrin Missel");
  await customer.press("Tab");
  await press(page, "The same: correct the name there, too");
  await expect(page.getByText("the same person?")).toHaveCount(0);
  await deal.saved();
  expect((await keptDeal(page)).document.customer).toEqual({
    id: document.customer.id,
    name: "Perrin Missel",
  });
  await page.goto("/?search=Perrin");
  await expect(page.getByRole("row", { name: /Perrin Missel/ })).toHaveCount(2);
});

test("two that are one are made one where the deal says who and what it is about", async ({ page }) => {
  await dealOf(page, "Una Double", "A carriage");
  const first = (await keptDeal(page)).document.customer;
  await dealOf(page, "Una Doubel", "A carriage house");
  await page.getByRole("button", { name: "More views" }).click();
  await page.getByRole("button", { name: "Customer and vehicle" }).click();
  const view = page.getByRole("region", { name: "Customer and vehicle" });
  await expect(view).toContainText("No other deal names it.");
  await view.getByText("One other is called alike").first().click();
  await expect(view.getByText("Una Double", { exact: true })).toBeVisible();
  await press(page, "The same as this one");
  await expectNoAxeFindings(page);
  await press(page, "Make them one in all their deals");
  await expect(page.getByLabel("Customer", { exact: true })).toHaveValue("Una Double");
  await expect(view).toContainText("One other deal names it.");
  await expect.poll(async () => (await keptDeal(page)).document.customer).toEqual(first);
});

test("what is known of a vehicle is typed where it stands in stock, and is what a deal shows of it", async ({
  page,
}) => {
  const van = {
    description: "Ostrel Known van",
    priceMinor: 1_200_000,
    listPriceMinor: null,
    currency: "USD",
  };
  await page.request.post("/api/stock", { data: { vehicles: [van] } });
  await page.goto("/stock");
  const field = (name: string) => page.getByLabel(`${name} of Ostrel Known van`);
  await press(page, "More of Ostrel Known van");
  await field("Stock number").fill("7700");
  await field("Model year").fill("2019");
  await field("Condition").selectOption("used");
  await field("Distance").fill("31,200 km");
  await field("Kind").selectOption("van");
  await field("Book value").fill("10,400");
  await field("Book date").fill("Nov 2, 2026");
  await field("Book date").press("Enter");
  await expect(field("Distance")).toHaveValue("31,200 km");
  await expect
    .poll(async () => (await page.request.get("/api/stock")).text())
    .toContain('"bookDate":"2026-11-02"');
  await field("Model year").fill("19");
  await field("Model year").press("Enter");
  await expect(
    page.getByRole("alert").filter({ hasText: "The model year “19” is not a year" }),
  ).toBeVisible();
  await field("Model year").press("Escape");
  await expect(field("Model year")).toHaveValue("2019");
  await expectNoAxeFindings(page);
  // Its number is no other's, whichever way it comes.
  const other = page.getByLabel("Stock number of Ostrel Tandem boat trailer");
  await other.fill("7700");
  await other.press("Enter");
  await expect(
    page.getByRole("alert").filter({ hasText: "Stock number 7700 is another vehicle’s" }),
  ).toBeVisible();
  await other.press("Escape");
  const deal = await newDeal(page);
  await pick(page, "Vehicle or purpose", "7700", /no\. 7700 · 2019 · used · 31,200 km · 12,000\.00$/);
  await expect(deal.field("Price")).toHaveValue("12,000.00");
  await deal.saved();
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByTitle("Export the deal as a file").click(),
  ]);
  expect(JSON.parse(await readFile(await file.path(), "utf8"))).toMatchObject({
    vehicle: "Ostrel Known van",
    stockNumber: "7700",
  });
});

test("customers and vehicles have a door of their own, which refuses what it must", async ({ request }) => {
  const nobody = "/api/records/customer/00000000-0000-4000-8000-00000000beef";
  const statuses = [
    await request.get(nobody),
    await request.get("/api/records/customer/none"),
    await request.get("/api/records/settings/00000000-0000-4000-8000-00000000beef"),
    await request.put(nobody, { data: { was: "A", name: "B" } }),
    await request.put(nobody, { data: { was: "A", name: " " } }),
    await request.post(`${nobody}/same`, { data: { other: "00000000-0000-4000-8000-00000000dead" } }),
    await request.post(`${nobody}/same`, { data: { other: nobody.split("/").at(-1) } }),
    await request.post(`${nobody}/same`, { data: {} }),
  ].map(answer => answer.status());
  expect(statuses).toEqual([404, 404, 404, 404, 422, 404, 422, 422]);
});
