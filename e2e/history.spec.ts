import { expect, test } from "@playwright/test";
import { newDeal, openView, VAN, view } from "./officer";

test("a signed deal stays as it was signed: no save, no deletion, until it is reopened", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Amabel Frost", ...VAN });
  await deal.saved();
  const address = `/api/deals/${page.url().split("/").at(-1)}`;
  await deal.sign();
  await expect(page.getByText(/Signed on .*Every figure is as it was then/)).toBeVisible();
  await expect(deal.sentence).toContainText("$579.98");
  // It is text, and no field.
  await expect(deal.field("Price")).toHaveCount(0);
  await expect(page.getByRole("term").filter({ hasText: /^Price$/ })).toBeAttached();
  await expect(view(page, "Map")).toHaveCount(0);
  await expect(page.getByRole("button", { name: "+ Option" })).toHaveCount(0);

  const kept = await (await page.request.get(address)).json();
  const save = await page.request.put(address, {
    data: { version: kept.version, change: { heading: { customer: "Ola", vehicle: "", status: "signed" } } },
  });
  expect([save.status(), await save.json()]).toEqual([
    409,
    { error: "This deal is signed; reopen it to change it." },
  ]);
  const reopening = await page.request.put(address, {
    data: {
      version: kept.version,
      change: { heading: { customer: "Amabel Frost", vehicle: "", status: "quoting" } },
    },
  });
  expect(reopening.status()).toBe(409);
  const deletion = await page.request.delete(`${address}?version=${kept.version}`);
  expect([deletion.status(), await deletion.json()]).toEqual([
    409,
    { error: "This deal is signed and stays; reopen it to delete it." },
  ]);
  expect(await (await page.request.get(address)).json()).toEqual(kept);

  await page.getByRole("button", { name: "Reopen to change it" }).click();
  await page.getByRole("button", { name: "Reopen it" }).click();
  await expect(deal.field("Price")).toBeEnabled();
  await deal.type({ Price: "31,000" });
  await deal.saved();
  expect((await page.request.post(`${address}/reopen?version=${kept.version}`)).status()).toBe(409);
});

test("each change is told in words, opens beside the present state, and is brought back as a new one", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Cerys Holm", ...VAN });
  await deal.saved();
  await deal.sign();
  await expect(page.getByText(/Signed on/)).toBeVisible();
  await page.getByRole("button", { name: "Reopen to change it" }).click();
  await page.getByRole("button", { name: "Reopen it" }).click();
  await expect(deal.field("Price")).toBeEnabled();
  await deal.type({ Price: "31,500", "Cash down": "1,000" });
  await deal.saved();
  await openView(page, "History");
  const history = page.getByRole("region", { name: "History" });
  await expect(async () => {
    await page.getByRole("button", { name: "Refresh" }).click();
    // Where typing is slow the two were saved one after the other.
    await expect(history).toContainText("price 30,000.00 → 31,500.00", { timeout: 1000 });
    await expect(history).toContainText(/cash down 1,000\.00, payment .*589\.65/, { timeout: 1000 });
  }).toPass();
  await history
    .getByRole("button", { name: /^.*signed, status/ })
    .first()
    .click();
  const earlier = page.getByRole("region", { name: "An earlier state" });
  await expect(earlier.getByRole("row", { name: /^Price/ })).toHaveText(/30,000\.00.*31,500\.00/);
  await earlier.getByRole("button", { name: "Bring it back" }).click();
  await view(page, "Desk").click();
  await expect(deal.field("Price")).toHaveValue("30,000.00");
  await expect(page.getByLabel("Status")).toHaveValue("quoting");
  await deal.saved();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(deal.field("Price")).toHaveValue("31,500.00");
});

test("the register shows deals by how far they are and by kind of plan", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({
    Customer: "Filter Lease",
    Price: "40,000",
    "Yearly rate": "5.4",
    "Number of payments": "36",
  });
  await page.getByLabel("Kind", { exact: true }).selectOption({ label: "lease" });
  await deal.type({ Residual: "18,240" });
  await deal.saved();
  const other = await newDeal(page);
  await other.type({ Customer: "Filter Loan", ...VAN });
  await page.getByLabel("Status").selectOption("Agreed");
  await other.saved();
  await page.goto("/?search=Filter");
  await expect(page.getByRole("row", { name: /Filter/ })).toHaveCount(2);
  await page.getByLabel("Kind of plan").selectOption("lease");
  await expect(page.getByRole("row", { name: /Filter Loan/ })).toHaveCount(0);
  await expect(page.getByRole("row", { name: /Filter Lease/ })).toBeVisible();
  await page.getByLabel("Kind of plan").selectOption({ label: "Any plan" });
  await page.getByLabel("Status").selectOption("Agreed");
  await expect(page.getByRole("row", { name: /Filter Lease/ })).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel("Status")).toHaveValue("agreed");
  await expect(page.getByRole("row", { name: /Filter Loan/ })).toBeVisible();
  expect((await page.request.get("/api/deals?status=sold")).status()).toBe(422);
  expect((await page.request.get("/api/deals?plan=gift")).status()).toBe(422);
});
