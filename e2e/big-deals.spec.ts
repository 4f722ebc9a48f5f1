import { expect, test } from "@playwright/test";
import { DealScreen } from "./officer";

const loan = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "21000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60, signed: "2027-01-15" },
  find: "payment",
};

/** A deal file with a question about so many advances. */
function fileOf(advances: number): string {
  const dated = (year: number) => (_: unknown, k: number) => ({
    date: `${year}-${String(1 + (k % 12)).padStart(2, "0")}-${String(1 + (k % 28)).padStart(2, "0")}`,
    amount: `${100 + k}.00`,
  });
  const ask = {
    ask: "apr",
    advances: Array.from({ length: advances }, dated(2027)),
    payments: [{ date: "2029-01-01", amount: "9000000.00" }],
  };
  return JSON.stringify({ ...loan, ask: [ask] });
}

const file = (name: string, text: string) => ({
  name,
  mimeType: "application/json",
  buffer: Buffer.from(text),
});

test("a deal of 2,500 advances is brought in, renamed and saved", async ({ page }) => {
  const text = fileOf(2500);
  expect(text.length).toBeGreaterThan(64 * 1024);
  await page.goto("/");
  await page.getByLabel("Deal files").setInputFiles([file("Wilmot Carrow.json", text)]);
  await page
    .getByRole("row", { name: /Wilmot Carrow/ })
    .getByRole("link")
    .click();
  await page.waitForURL("**/deals/*");
  const deal = await new DealScreen(page).ready();
  await page.getByLabel("Customer").fill("Wilmot Carrow the younger");
  await deal.type({ Price: "22,000" });
  await deal.saved();
  await page.reload();
  await deal.ready();
  await expect(deal.field("Price")).toHaveValue("22,000.00");
  await expect(page.getByLabel("Customer")).toHaveValue("Wilmot Carrow the younger");
});

test("a file of a megabyte is refused with its size and the most that is accepted", async ({ page }) => {
  await page.goto("/");
  const text = `${JSON.stringify(loan)}${" ".repeat(1_048_576)}`;
  await page.getByLabel("Deal files").setInputFiles([file("Hollis Grane.json", text)]);
  await expect(
    page.getByText(/Hollis Grane\.json: The file is 1\.05 MB; a deal file can have at most 450 kB/),
  ).toBeVisible();
  await expect(page.getByRole("row", { name: /Hollis Grane/ })).toHaveCount(0);
});

test("a server that fails is told from one that is away, and the change is kept", async ({ page }) => {
  await page.goto("/?search=tamsin");
  await page
    .getByRole("row", { name: /Tamsin Wherry/ })
    .getByRole("link")
    .click();
  await page.waitForURL("**/deals/*");
  const deal = await new DealScreen(page).ready();
  await page.route("**/api/deals/*", route =>
    route.fulfill({ status: 507, json: { error: "The server's disk is full." } }),
  );
  await page.getByLabel("Customer").fill("Tamsin Wherry-Holt");
  await expect(deal.status).toHaveText("Not saved: The server's disk is full. Kept here, tried again.");
  await page.unroute("**/api/deals/*");
  await deal.saved();
  await page.getByLabel("Customer").fill("Tamsin Wherry");
  await deal.saved();
});
