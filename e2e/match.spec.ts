// A lender's figures that are not the deal's: where they come from, their table pasted, what is taken in, kept and given.
import { expect, type Page, test } from "@playwright/test";
import { priceFile } from "@/exchange/answers/price-file";
import { expectNoAxeFindings } from "./axe";
import { DealScreen, openView } from "./officer";

const LOAN = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  place: "US",
  structure: { price: "18500.00" },
  plan: { kind: "loan", yearlyRate: "7.25", payments: 48, frequency: "monthly", signed: "2026-12-01" },
  find: "payment",
};

const SENTENCE =
  "Their figures come out to the last digit with the payment rounded up and each row’s interest rounded down.";

const sentence = (page: Page) => page.getByTestId("match-sentence");

/** Opens a deal of a file in the view. */
async function matching(page: Page, change: object = {}): Promise<DealScreen> {
  const made = await page.request.post("/api/deals/import", {
    data: { fileName: "deal.json", text: JSON.stringify({ ...LOAN, ...change }) },
  });
  expect(made.status()).toBe(201);
  await page.goto(`/deals/${(await made.json()).id}`);
  const deal = await new DealScreen(page).ready();
  await openView(page, "Match a lender’s figures");
  return deal;
}

test("a lender's cents are given by two conventions, one of them taken in, and all of it kept", async ({
  page,
}) => {
  const deal = await matching(page);
  await expect(page.getByText("Type what they say, one figure or more")).toBeVisible();
  await deal.type({ Payment: "446.00" });
  await expect(sentence(page)).toContainText("Several fit");
  await deal.type({ Payment: "445.16", "Last payment": "444.57", "Total of payments": "21,367.09" });
  await expect(sentence(page)).toHaveText(SENTENCE);
  const compared = page.getByRole("region", { name: "Figure by figure" });
  await expect(compared.getByRole("row", { name: /^Last payment/ })).toContainText(
    /444\.57.*444\.57.*445\.36/,
  );
  await expect(page.getByRole("region", { name: "Other ways" })).toContainText(
    "a period rate rounded to 6 decimals",
  );
  await expect(page.getByRole("region", { name: "What comes near" }).getByRole("row")).toHaveCount(4);
  await expect(page.getByTestId("match-tried")).toContainText(/ways tried in .* s; one other fits equally\./);

  await deal.type({ "Finance charge": "2,867.09", "APR, %": "7.5" });
  await expect(page.getByRole("region", { name: "Where it comes from" })).toContainText(
    "Their APR of 7.500 % is 0.251 from the 7.249 % of the 18,500.00 financed here, payments and dates: beyond an eighth of a point.",
  );
  await deal.type({ "APR, %": "7.25" });
  await expect(page.getByRole("region", { name: "Where it comes from" })).toContainText(
    "within an eighth of a point.",
  );
  await expect(page.getByRole("region", { name: "Where it comes from" })).toContainText(
    "(12 CFR 1026.18(d)(2))",
  );

  await page.getByRole("button", { name: "Keep as a note" }).click();
  await expect(page.getByLabel("Notes")).toHaveValue(
    /They say: payment 445\.16, .*each row’s interest rounded down\. The payment is 445\.154451 before it is rounded/,
  );
  await page.getByRole("button", { name: "Take into the deal: the payment rounded up" }).click();
  await expect(deal.field("Payment")).toBeFocused();
  await expect(sentence(page)).toHaveText(
    "Their figures come out to the last digit with each row’s interest rounded down.",
  );
  await deal.saved();
  await page.reload();
  await deal.ready();
  await openView(page, "Match a lender’s figures");
  await expect(deal.field("Last payment")).toHaveValue("444.57");
  await expect(sentence(page)).toContainText("each row’s interest rounded down");
  await page.keyboard.press("Control+z");
  await expectNoAxeFindings(page);
});

test("what nothing gives has the nearest, and a figure that cannot be read changes nothing", async ({
  page,
}) => {
  const deal = await matching(page);
  await deal.type({ Payment: "445.16", "Last payment": "444.57" });
  await expect(sentence(page)).toContainText("each row’s interest rounded down");
  await deal.type({ "Last payment": "44x" });
  await expect(page.getByText("an amount such as 445.16")).toBeVisible();
  await expect(sentence(page)).toContainText("Several fit");
  await deal.type({ "Last payment": "99.99", "Total of payments": "1,000.00" });
  await expect(sentence(page)).toContainText("Nothing that was tried gives all of their 3 figures");
  await expect(page.getByRole("region", { name: "What comes near" }).getByRole("row")).toHaveCount(4);
  await expect(page.getByTestId("match-tried")).toContainText(/[\d,]+ ways tried in/);
  await deal.type({ "Number of the payment after which it is owed": "60", "Owed after that payment": "100" });
  await expect(
    page.getByText("There is no payment 60; what is owed can be told after payments 1 to 48."),
  ).toBeVisible();
});

type Row = Record<"number" | "payment" | "interest" | "principal" | "balance", string>;

/** The rows of the loan with its payment rounded up, as another program may print them. */
function theirRows(): string[][] {
  const priced = priceFile(JSON.stringify({ ...LOAN, plan: { ...LOAN.plan, rounding: "up" } }), true);
  if (!priced.ok) throw new Error(priced.sentence);
  const { schedule } = priced.answer as { schedule: Row[] };
  return schedule.map(({ number, payment, interest, principal, balance }) => [
    String(number),
    payment,
    interest,
    principal,
    balance,
  ]);
}

const pasted = (page: Page) => page.getByLabel("or paste their table here, or drop a CSV of it");

test("a pasted table: headings in the way, a row short, other decimals; what cannot be read loses nothing", async ({
  page,
}) => {
  const deal = await matching(page);
  const rows = theirRows();
  const lines = rows
    .filter(([number]) => number !== "17")
    .map(cells => cells.join("\t").replaceAll(".", ","));
  const heading = "Nr.\tPayment\tInterest\tPrincipal\tBalance";
  await pasted(page).fill(["Quillon Mutual, repayment plan", "", heading, ...lines].join("\n"));
  await expect(page.getByText("47 rows are read.")).toBeVisible();
  await expect(page.getByText("Payment 17 is not in their table; the others are compared.")).toBeVisible();
  await expect(sentence(page)).toHaveText(
    "Their figures come out to the last digit with the payment rounded up.",
  );
  await expect(page.getByTestId("match-rows")).toHaveText("All 47 rows of their table agree.");

  const wrong = rows.map(([number = "", payment = "", interest = "", principal = "", balance = ""]) =>
    [number, payment, interest, principal, number === "20" ? "11,111.11" : balance].join("\t"),
  );
  await pasted(page).fill([heading, ...wrong].join("\n"));
  await expect(page.getByTestId("match-rows")).toContainText(
    /1 row departs of 48\. The first is payment 20: the balance is 11,111\.11, this way has/,
  );

  const unread = [heading, "1\t445.16\t1l1.77\t333.39\t18,166.61"].join("\n");
  await pasted(page).fill(unread);
  await expect(page.getByText("“1l1.77” in row 1 is no amount; it is left out.")).toBeVisible();
  await pasted(page).fill("Dear customer, thank you.");
  await expect(page.getByText("No row of this is a number of a payment with amounts")).toBeVisible();
  await expect(pasted(page)).toHaveValue("Dear customer, thank you.");
  // What was read before still counts, and is what comes back.
  await expect(sentence(page)).toBeVisible();
  await pasted(page).fill([heading, ...rows.map(cells => cells.join("\t"))].join("\n"));
  await deal.saved();
  await page.reload();
  await deal.ready();
  await openView(page, "Match a lender’s figures");
  await expect(pasted(page)).toHaveValue(/^No\.\tPayment\tInterest\tPrincipal\tBalance\n1\t445\.16/);
  await expect(page.getByText("48 rows are read.")).toBeVisible();
});

test("what they say is the open option's, and undone with the rest of the deal", async ({ page }) => {
  const deal = await matching(page);
  await pasted(page).fill(
    theirRows()
      .map(cells => cells.join("\t"))
      .join("\n"),
  );
  await expect(page.getByText("48 rows are read.")).toBeVisible();
  await page.getByRole("button", { name: "+ Option" }).click();
  await page.getByLabel("Numbers of payments").fill("36, 60");
  await page.getByRole("button", { name: "Make 2 options" }).click();
  await expect(page.getByRole("region", { name: "Options" }).getByRole("listitem")).toHaveCount(3);
  await expect(pasted(page)).toHaveValue("");
  await expect(page.getByText("Type what they say, one figure or more")).toBeVisible();
  await page.getByRole("button", { name: /^Undo/ }).first().click();
  await expect(pasted(page)).toHaveValue(/445\.16/);
  await page.getByRole("button", { name: /^Undo/ }).first().click();
  await expect(pasted(page)).toHaveValue("");
  await deal.saved();
});

test("a dropped CSV is read as a pasted table is", async ({ page }) => {
  await matching(page);
  const csv = ["No.;Payment;Interest;Principal;Balance", ...theirRows().map(cells => cells.join(";"))].join(
    "\n",
  );
  await page
    .locator("input[type=file][aria-label='CSV file of their table']")
    .setInputFiles({ name: "plan.csv", mimeType: "text/csv", buffer: Buffer.from(csv) });
  await expect(page.getByTestId("match-rows")).toHaveText("All 48 rows of their table agree.");
});

test("the comparison is given as a paper", async ({ page }) => {
  const deal = await matching(page);
  await deal.type({ Payment: "445.16", "Last payment": "444.57" });
  await expect(sentence(page)).toContainText("rounded up");
  await deal.saved();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Comparison (PDF)" }).click();
  expect((await download).suggestedFilename()).toMatch(/comparison\.pdf$/);
});

test("without a deal, by keys alone: the loan, what they say, a deal made of it", async ({ page }) => {
  await page.goto("/figures");
  await expect(page.locator("main > fieldset:enabled")).toBeAttached();
  await page.getByRole("link", { name: "Match a lender’s figures" }).focus();
  await page.keyboard.press("Enter");
  await page.waitForURL("**/figures/match");
  await expect(page.locator("main > fieldset:enabled")).toBeAttached();
  await expect(page.getByText("Type the loan amount, the rate and how many payments first.")).toBeVisible();
  await page.getByRole("combobox", { name: "Loan or lease" }).focus();
  for (const text of ["18500", "7.25", "48"]) {
    await page.keyboard.press("Tab");
    await page.keyboard.type(text);
  }
  // How often, the balloon, the two dates; then what they say.
  for (let step = 0; step < 5; step++) await page.keyboard.press("Tab");
  await expect(page.getByRole("textbox", { name: "Payment", exact: true })).toBeFocused();
  for (const text of ["445.16", "444.57", "21367.09"]) {
    await page.keyboard.type(text);
    await page.keyboard.press("Tab");
  }
  await expect(sentence(page)).toHaveText(SENTENCE);
  await expectNoAxeFindings(page, false);
  // Two of the figures have the same answer: the third has been looked for once its row and the button are there.
  const compared = page.getByRole("region", { name: "Figure by figure" });
  await expect(compared.getByRole("row", { name: /^Total of payments/ })).toBeVisible();
  await expect(page.getByRole("button", { name: "Take it into a deal" })).toBeEnabled();
  await page.getByRole("button", { name: "Take it into a deal" }).focus();
  await page.keyboard.press("Enter");
  await page.waitForURL("**/deals/*");
  const deal = await new DealScreen(page).ready();
  await expect(deal.sentence).toContainText("445.16");
  await openView(page, "Match a lender’s figures");
  await expect(deal.field("Last payment")).toHaveValue("444.57");
  await expect(sentence(page)).toContainText("with each row’s interest rounded down");
});

test("a lease without a deal, its tax reckoned on the payment before it is rounded", async ({ page }) => {
  await page.goto("/figures/match");
  await page.getByRole("combobox", { name: "Loan or lease" }).selectOption("lease");
  const type = async (figures: Record<string, string>) => {
    for (const [label, text] of Object.entries(figures))
      await page.getByLabel(label, { exact: true }).fill(text);
  };
  await type({
    "Money factor": "0.00225",
    Payments: "36",
    Residual: "18,240.00",
    "Tax on each payment, %": "6.25",
  });
  await page.getByLabel("Adjusted capitalized cost", { exact: true }).first().fill("40,000.02");
  // 735.485045 before tax: with it 781.4529, and not 735.49 with 45.97.
  await type({ Payment: "781.45", "Rent charge": "4,717.62" });
  await expect(sentence(page)).toHaveText(
    "Their figures come out to the last digit with the payment rounded once, together with its tax.",
  );
});

test("on a phone the answer is in the first screen", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const deal = await matching(page);
  await deal.type({ Payment: "445.16", "Last payment": "444.57" });
  await expect(sentence(page)).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
