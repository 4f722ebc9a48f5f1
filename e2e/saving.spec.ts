import { expect, test } from "@playwright/test";
import { DealScreen, hearsNothing, newDeal, VAN } from "./officer";

test("two tabs on one deal: the second to save is told, sees both versions and can keep both", async ({
  page,
  context,
}) => {
  await hearsNothing(page);
  const first = await newDeal(page);
  await first.type({ Customer: "Ottoline Marsh", ...VAN });
  await first.saved();
  const other = await context.newPage();
  await hearsNothing(other);
  await other.goto(page.url());
  const second = await new DealScreen(other).ready();
  await expect(second.sentence).toContainText("$579.98");

  await first.type({ Price: "31,000" });
  await first.saved();
  await second.type({ Price: "29,000" });
  const dialog = other.getByRole("dialog", { name: "Two versions of this deal" });
  await expect(dialog.getByRole("row", { name: /^Price/ })).toHaveText(/29,000\.00.*31,000\.00/);
  await expect(second.status).toHaveText("Not saved: changed somewhere else.");

  await dialog.getByRole("button", { name: /Keep both/ }).click();
  await expect(second.field("Price")).toHaveValue("31,000.00");
  await second.saved();
  await page.goto("/");
  await page.getByLabel("Search the deals").fill("Ottoline");
  await expect(page.getByRole("row", { name: /Ottoline Marsh/ })).toHaveCount(2);
  await expect(page.getByRole("row", { name: /29,000\.00/ })).toHaveCount(1);
});

test("two tabs that change different parts of a deal both save, and each gets what the other changed", async ({
  page,
  context,
}) => {
  await hearsNothing(page);
  const first = await newDeal(page);
  await first.type({ Customer: "Wendel Ashgrove", ...VAN });
  await first.saved();
  const other = await context.newPage();
  await hearsNothing(other);
  await other.goto(page.url());
  const second = await new DealScreen(other).ready();
  await first.type({ Customer: "Wendela Ashgrove" });
  await first.saved();
  await second.type({ Price: "31,000" });
  await second.saved();
  await expect(other.getByLabel("Customer", { exact: true })).toHaveValue("Wendela Ashgrove");
  await page.reload();
  await expect(first.field("Price")).toHaveValue("31,000.00");
  await expect(page.getByLabel("Customer", { exact: true })).toHaveValue("Wendela Ashgrove");
});

test("a page that changes an option and another that changes what is tried beside it both save; signing asks for neither", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Odile Aside", ...VAN });
  await deal.saved();
  const address = page.url().replace("/deals/", "/api/deals/");
  const kept = async () => (await page.request.get(address)).json();
  const { version, document } = await kept();
  const [option] = document.options;
  // Nothing that is tried has a field yet: the other page is one that only knows the server.
  const tries = (from: number, options: object) =>
    page.request.put(address, { data: { version: from, change: { asides: { options } } } });
  expect((await tries(version, { [option.id]: {} })).status()).toBe(200);
  await deal.type({ Price: "31,000" });
  await deal.saved();
  expect((await kept()).document).toMatchObject({
    asides: { options: { [option.id]: {} } },
    options: [{ inputs: { structure: { price: "31000.00" } } }],
  });
  // The other way round: what is tried is saved from the version before the page's change.
  const before = (await kept()).version;
  await deal.type({ "Yearly rate": "7" });
  await deal.saved();
  expect((await tries(before, {})).status()).toBe(200);
  await deal.sign();
  await expect(page.getByText(/Signed on .*Every figure is as it was then/)).toBeVisible();
  const signed = await kept();
  expect(signed.document).toMatchObject({
    status: "signed",
    options: [{ inputs: { plan: { yearlyRate: "7" } } }],
  });
  expect((await tries(signed.version, { [option.id]: {} })).status()).toBe(200);
});

test("after a conflict the officer's own version can be saved over the other", async ({ page, context }) => {
  await hearsNothing(page);
  const first = await newDeal(page);
  await first.type({ Customer: "Percival Dune", ...VAN });
  await first.saved();
  const other = await context.newPage();
  await hearsNothing(other);
  await other.goto(page.url());
  const second = await new DealScreen(other).ready();
  await expect(second.sentence).toBeVisible();
  await first.type({ Price: "31,000" });
  await first.saved();
  await second.type({ Price: "29,000" });
  await other.getByRole("button", { name: "Decide later" }).click();
  // What is typed while undecided is not lost either.
  await second.type({ Price: "28,500" });
  await other.getByRole("button", { name: "See both versions" }).click();
  await other.getByRole("button", { name: "Save mine over it" }).click();
  await second.saved();
  await page.reload();
  await expect(first.field("Price")).toHaveValue("28,500.00");
});

test("the server goes away: the screen says so, the change is kept, and saved when it is back", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Ned Hawthwaite", ...VAN });
  await deal.saved();
  await page.route("**/api/**", route => route.abort());
  await deal.type({ Price: "32,000" });
  await expect(deal.status).toHaveText("Not saved: the server is away. Kept here, saved when it is back.");
  await expect(deal.sentence).toContainText("$32,000.00");
  await page.unroute("**/api/**");
  await deal.saved();
  await page.reload();
  await expect(deal.field("Price")).toHaveValue("32,000.00");
});

test("a page closed while the server was away: the register says so, opening the deal saves it", async ({
  page,
  context,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Sabeth Lorne", ...VAN });
  await deal.saved();
  const address = page.url();
  await context.route("**/api/**", route => route.abort());
  await deal.type({ Price: "33,000" });
  await expect(deal.status).toContainText("the server is away");
  await page.close();
  await context.unroute("**/api/**");

  const later = await context.newPage();
  await later.goto("/");
  await expect(later.getByRole("alert").filter({ hasText: "could not be saved" })).toContainText(
    "Sabeth Lorne",
  );
  await later.goto(address);
  const again = await new DealScreen(later).ready();
  await expect(again.field("Price")).toHaveValue("33,000.00");
  await again.saved();
  await later.goto("/");
  await expect(later.getByRole("row", { name: /Sabeth Lorne .* 33,000\.00/ })).toBeVisible();
  await expect(later.getByRole("alert").filter({ hasText: "could not be saved" })).toHaveCount(0);
});

test("a change typed the moment before the page is left is saved", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Quentin Farrow", ...VAN });
  await deal.saved();
  await deal.type({ Price: "34,567" });
  await page.getByRole("link", { name: "Back to the deals" }).click();
  // The register may say that the change is not saved yet, and name the deal there, too.
  await page.getByRole("region", { name: "The deals" }).getByRole("link", { name: "Quentin Farrow" }).click();
  await expect(deal.field("Price")).toHaveValue("34,567.00");
  await deal.saved();
});

test("a deal deleted in another tab is brought back with what was changed here", async ({
  page,
  context,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Ilse Kettering", ...VAN });
  await deal.saved();
  const other = await context.newPage();
  await other.goto("/");
  await other.getByRole("button", { name: "Delete the deal of Ilse Kettering" }).click();
  await expect(other.getByText("The deal of Ilse Kettering was deleted.")).toBeVisible();
  await deal.type({ Price: "35,000" });
  await page.getByRole("button", { name: "Bring it back" }).click();
  await deal.saved();
  await page.reload();
  await expect(deal.field("Price")).toHaveValue("35,000.00");
});

test("a deleted deal opens at its address and can be brought back as it was", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Orrin Lackland", ...VAN });
  await deal.saved();
  const address = page.url();
  await page.goto("/");
  await page.getByRole("button", { name: "Delete the deal of Orrin Lackland" }).click();
  await expect(page.getByRole("link", { name: "Orrin Lackland" })).toHaveCount(0);
  await page.goto(address);
  await expect(deal.status).toHaveText("This deal was deleted.");
  await page.getByRole("button", { name: "Bring it back" }).click();
  await deal.saved();
  await page.goto("/");
  await expect(page.getByRole("link", { name: "Orrin Lackland" })).toHaveCount(1);
});
