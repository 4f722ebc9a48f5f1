import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import readSheets from "read-excel-file/node";
import { newDeal, openView, press, view } from "./officer";

type Sheets = Record<string, unknown[][]>;

/** Fetches a workbook, and reads it by a library that did not write it. */
async function workbook(
  page: Page,
  fetchIt: () => Promise<void>,
): Promise<{ called: string; sheets: Sheets }> {
  const [download] = await Promise.all([page.waitForEvent("download"), fetchIt()]);
  const all = (await readSheets(await readFile(await download.path()))) as unknown as {
    sheet: string;
    data: unknown[][];
  }[];
  return {
    called: download.suggestedFilename(),
    sheets: Object.fromEntries(all.map(({ sheet, data }) => [sheet, data])),
  };
}

test("a deal leaves as a workbook, which is kept as a given paper; the line-up as a table", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({
    Customer: "Ines Marrow",
    Price: "20000",
    "Yearly rate": "6",
    "Number of payments": "60",
  });
  await deal.saved();
  await press(page, "Papers");
  const { called, sheets } = await workbook(page, () => press(page, "Workbook (XLSX)"));
  expect([called, Object.keys(sheets)]).toEqual([
    "Ines Marrow, workbook.xlsx",
    ["Deal", "Table", "What is what"],
  ]);
  const figure = (label: string) => sheets.Deal?.find(row => row[0] === label)?.[1];
  // 20,000.00 at 0.5 % a month over 60.
  expect([figure("Price"), figure("Payment")]).toEqual([20_000, 386.66]);
  await press(page, "Papers");
  await openView(page, "History");
  await expect(page.getByRole("region", { name: "Papers that were given" })).toContainText("Workbook");
  await press(page, "+ Option");
  await page.getByLabel("Numbers of payments").fill("36, 48");
  await press(page, "Make 2 options");
  await view(page, "Line-up").click();
  const table = await workbook(page, () =>
    page.getByRole("region", { name: "Line-up" }).getByRole("button", { name: "XLSX" }).click(),
  );
  expect(table.called).toBe("Line-up.xlsx");
  // Over 48 at the house's own 5.89 %.
  expect(table.sheets["Line-up"]?.find(row => row[0] === "Payment")?.slice(1)).toEqual([
    386.66, 608.44, 468.69,
  ]);
});

test("register and stock leave as tables, with nothing that the dealer alone knows", async ({ page }) => {
  await page.goto("/?search=Oakhollow");
  const deals = await workbook(page, () => page.getByRole("link", { name: "XLSX" }).click());
  expect(deals.sheets.Deals?.length).toBeGreaterThan(1);
  expect(deals.sheets.Deals?.slice(1).every(row => String(row[0]).includes("Oakhollow"))).toBe(true);
  await page.goto("/stock");
  await press(page, "Show costs");
  const stock = await workbook(page, () => page.getByRole("button", { name: "XLSX" }).click());
  expect(stock.sheets.Stock?.[0]).toContain("Asking price");
  expect(JSON.stringify(stock.sheets.Stock?.[0])).not.toMatch(/cost|invoice/i);
});

test("a table that is none is turned down with a sentence", async ({ page }) => {
  const table = {
    name: "A",
    day: "2026-11-30",
    decimals: 2,
    locale: "en-US",
    headings: ["A"],
    rows: [["=1+1"]],
  };
  const asked = async (data: object) => {
    const answer = await page.request.post("/api/tables", { data });
    return [answer.status(), answer.ok() ? "" : (await answer.json()).error];
  };
  expect(await asked({ ...table, headings: [] })).toEqual([422, expect.stringContaining("headings")]);
  expect(await asked({ ...table, day: "2026-02-31" })).toEqual([
    422,
    expect.stringContaining("there is no such day"),
  ]);
  expect(await asked({ ...table, rows: [[{ number: "x", as: "amount" }]] })).toEqual([
    422,
    expect.any(String),
  ]);
  expect((await page.request.get("/api/deals/table?sort=nothing")).status()).toBe(422);
  expect(await asked(table)).toEqual([200, ""]);
});
