import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { newDeal, openDeal, openView, VAN } from "./officer";

test("the five figures are asked and answered in a sentence, whichever is found", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("link", { name: "Figures" }).click();
  const card = page.getByRole("region", { name: "Money over time" });
  await expect(card.getByLabel("Each payment", { exact: true })).toBeEnabled();
  await card.getByLabel("Each payment", { exact: true }).press("?");
  await card.getByLabel("Money now", { exact: true }).fill("10k");
  await card.getByLabel("Yearly rate", { exact: true }).fill("6");
  // 10,000.00 at half a percent a month over 60 payments.
  await expect(card.getByTestId("answer")).toContainText("pay 193.33 every month");
  await expect(card.getByLabel("Each payment", { exact: true })).toHaveValue("193.33");
  await card.getByRole("button", { name: "Working" }).click();
  await expect(card).toContainText("i, the rate of one month");
  await expect(card).toContainText("1.34885015");
  await card.getByLabel("Number of payments", { exact: true }).press("?");
  await card.getByLabel("Each payment", { exact: true }).fill("200");
  await expect(card.getByTestId("answer")).toContainText("57 times and a last time");
  await expect(card.getByTestId("answer")).toContainText("before it there is");
  await card.getByLabel("Each payment", { exact: true }).fill("20");
  await expect(card.getByRole("status")).toContainText(/never/);
  await card.getByLabel("Each payment", { exact: true }).fill("much");
  await expect(card.getByRole("status")).toContainText("“much” is no payment.");
});

test("a saving, a rate stated otherwise, and the rate of pasted flows", async ({ page }) => {
  await page.goto("/figures");
  const saving = page.getByRole("region", { name: "How long a saving takes" });
  await saving.getByLabel("Saved already").fill("0");
  await saving.getByLabel("Put aside each time").fill("100");
  await saving.getByLabel("Yearly rate of the saving").fill("0");
  await saving.getByLabel("Aimed for").fill("1,050");
  await expect(saving.getByTestId("answer")).toContainText(
    "After 10 in full, the last one is 50.00: before it there is 1,000.00, after it 1,050.00.",
  );

  const rate = page.getByRole("region", { name: "One rate as another" });
  await rate.getByLabel("Rate", { exact: true }).fill("12");
  // (1 + 0.12 ÷ 12)^12 − 1.
  await expect(rate.getByTestId("answer")).toContainText("12.6825030132 % that a whole year adds");
  await rate.getByLabel("How the rate is stated").selectOption({ label: "as a lease's money factor" });
  await rate.getByLabel("Rate", { exact: true }).fill("225");
  await rate.getByLabel("How it is to be stated").selectOption({ label: "a year, added monthly" });
  await expect(rate.getByTestId("answer")).toContainText("0.00225 as a lease's money factor is 5.4 %");

  // 5,000.00 lent on 10 January 1978, 24 payments of 230.00: 9.69 % by the example of Appendix J.
  const flows = page.getByRole("region", { name: "The rate of any flows" });
  await flows.getByLabel("Dates and amounts").fill("1978-01-10\t5,000.00\n10 Feb 1978 −230.00 × 24");
  await expect(flows.getByTestId("answer")).toContainText(/^APR 9\.6[89]/);
  await expect(flows.getByRole("img", { name: /^25 flows from Jan 10, 1978/ })).toBeVisible();
  await flows.getByText("As a table").click();
  await expect(flows.getByRole("row")).toHaveCount(26);
  await flows.getByLabel("Dates and amounts").fill("someday 5");
  await expect(flows.getByRole("status")).toContainText("Line 1: “someday 5” is not a date with an amount");
});

test("an answer is kept as a note on a deal, and the questions as a file that comes in again", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Customer: "Thessaly Brook", ...VAN });
  await deal.saved();
  await page.goto("/figures");
  const card = page.getByRole("region", { name: "Money over time" });
  await card.getByRole("button", { name: "Keep as a note on a deal" }).click();
  await card.getByLabel("Whose deal").fill("Thessaly");
  await card.getByRole("button", { name: /^Thessaly Brook/ }).click();
  await expect(page.getByText("Kept among the notes of Thessaly Brook.")).toBeVisible();

  await card.getByLabel("Money now", { exact: true }).fill("12,345.00");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Export questions", exact: true }).click(),
  ]);
  const file = await download.path();
  const { format, ask } = JSON.parse(await readFile(file, "utf8"));
  expect([format, ask.length, ask[0].presentValue]).toEqual([
    "kellux-questions",
    4,
    { received: "12345.00" },
  ]);
  await page.reload();
  await page.getByLabel("Question file to import").setInputFiles(file);
  await expect(card.getByLabel("Money now", { exact: true })).toHaveValue("12,345.00");
  await page.getByLabel("Question file to import").setInputFiles({
    name: "other.json",
    mimeType: "application/json",
    buffer: Buffer.from('{"format":"kellux-questions","version":9}'),
  });
  await expect(page.getByText(/^other\.json: /)).toBeVisible();

  const opened = await openDeal(page, "Thessaly Brook", "");
  const notes = page.getByLabel("Notes");
  await expect(notes).toHaveValue(/^Receive 24,600\.00 now, pay 470\.00 every month/);
  await notes.fill("Call back on Friday");
  await opened.saved();
  await page.reload();
  await expect(page.getByLabel("Notes")).toHaveValue("Call back on Friday");
  await openView(page, "History");
  await expect(page.getByText(/notes .*Call back on Friday/).first()).toBeVisible();
});
