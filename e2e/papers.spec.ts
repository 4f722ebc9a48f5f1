import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { DealScreen, newDeal, openView, press, view } from "./officer";

/** Fetches a paper by its name in the menu. */
async function fetched(page: Page, name: string | RegExp): Promise<{ called: string; bytes: Buffer }> {
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name, exact: true }).click(),
  ]);
  return { called: download.suggestedFilename(), bytes: await readFile(await download.path()) };
}

const papers = (page: Page) => page.getByRole("region", { name: "Papers" });

test("a proposal and a repayment table are fetched, of what is saved", async ({ page }) => {
  const deal = await newDeal(page);
  await press(page, "Papers");
  await expect(papers(page)).toContainText("There are no papers of an option without an answer.");
  await page.keyboard.press("Escape");
  await expect(papers(page)).toHaveCount(0);
  await deal.type({
    Customer: "Łucja Thornquist",
    Price: "38425",
    "Yearly rate": "6.49",
    "Number of payments": "72",
  });
  await deal.saved();
  await press(page, "Papers");
  const proposal = await fetched(page, "Proposal (PDF)");
  expect(proposal.called).toBe("Łucja Thornquist, proposal.pdf");
  expect(proposal.bytes.subarray(0, 5).toString()).toBe("%PDF-");
  const table = await fetched(page, "Repayment table (PDF)");
  expect(table.called).toBe("Łucja Thornquist, repayment table.pdf");
  expect(table.bytes.length).toBeGreaterThan(20_000);
  const calendar = await fetched(page, "Payment calendar (iCalendar)");
  expect(calendar.called).toBe("Łucja Thornquist, payment calendar.ics");
  expect(calendar.bytes.toString().match(/BEGIN:VEVENT/g)).toHaveLength(72);
  // The same state and day give the same bytes.
  expect((await fetched(page, "Proposal (PDF)")).bytes.equals(proposal.bytes)).toBe(true);
  await expectNoAxeFindings(page);
});

test("the menu hears Escape from the moment at which it is there", async ({ page }) => {
  await newDeal(page);
  // Quicker than any hand: right after it is drawn, and before anything else of the page has a turn.
  await page.evaluate(() => {
    new MutationObserver((_, watch) => {
      const menu = document.querySelector('[aria-label="Papers"]');
      if (!menu) return;
      watch.disconnect();
      menu.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
      document.title = "Escape was pressed";
    }).observe(document.body, { childList: true, subtree: true });
  });
  await press(page, "Papers");
  await expect(page).toHaveTitle("Escape was pressed");
  await expect(papers(page)).toHaveCount(0);
});

test("from the palette, and with the keyboard alone: all options on one page", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "38425", "Yearly rate": "6.49", "Number of payments": "72" });
  await press(page, "+ Option");
  await page.getByLabel("Numbers of payments").fill("48, 60");
  await press(page, "Make 2 options");
  await deal.saved();
  await page.keyboard.press("Control+k");
  await page.keyboard.type("papers");
  await page.getByRole("option", { name: "Papers", exact: true }).click();
  await expect(papers(page)).toBeVisible();
  await press(page, "Papers");
  await expect(papers(page)).toHaveCount(0);
  await page.getByRole("button", { name: "Papers", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(papers(page)).toBeVisible();
  await page.getByRole("button", { name: "Tick all" }).press("Enter");
  await expect(papers(page)).toContainText("The proposal has them side by side");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Proposal (PDF)", exact: true }).press("Enter"),
  ]);
  expect(download.suggestedFilename()).toBe("Deal, proposal.pdf");
});

test("an address that asks for no paper is turned down with a sentence, and so is an older version", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "38425", "Yearly rate": "6.49", "Number of payments": "72" });
  await deal.saved();
  const [, id = ""] = /deals\/([^/?#]+)/.exec(page.url()) ?? [];
  const { version, document } = await (await page.request.get(`/api/deals/${id}`)).json();
  const at = `/api/deals/${id}/papers`;
  const good = `version=${version}&options=${document.chosen}&day=2026-11-30`;
  const asked = async (path: string) => {
    const answer = await page.request.post(`${at}${path}`);
    return [answer.status(), (await answer.json()).error];
  };
  expect(await asked(`/poster?${good}`)).toEqual([404, "There is no such paper."]);
  expect(await asked("/proposal")).toEqual([400, expect.stringContaining("version in view")]);
  expect(await asked(`/proposal?version=${version}&options=${document.chosen}`)).toEqual([
    400,
    expect.stringContaining("day on the paper"),
  ]);
  expect(await asked(`/proposal?version=${version}&day=2026-11-30`)).toEqual([
    400,
    expect.stringContaining("name 1 to 8 options"),
  ]);
  expect(await asked(`/proposal?version=${version}&options=nobody&day=2026-11-30`)).toEqual([
    422,
    expect.stringContaining("no such option"),
  ]);
  expect(await asked(`/proposal?${good.replace(/version=\d+/, "version=1")}`)).toEqual([
    409,
    expect.stringContaining("changed since"),
  ]);
  expect(await asked(`/payoff?${good}&after=9999`)).toEqual([
    400,
    expect.stringContaining("such as after=12"),
  ]);
  expect(await asked(`/letter?${good}&enclosed=perThousand`)).toEqual([
    400,
    expect.stringContaining("papers for customers"),
  ]);
  expect((await page.request.get(`/api/deals/${id}/given/${document.chosen}`)).status()).toBe(404);
  const answer = await page.request.post(`${at}/proposal?${good}`);
  expect([answer.status(), answer.headers()["content-type"]]).toEqual([200, "application/pdf"]);
});

test("what is given stays in History, the same bytes; a preview is a picture, and is not", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({
    Customer: "Bram Oakley",
    Price: "38425",
    "Yearly rate": "6.49",
    "Number of payments": "72",
  });
  await deal.saved();
  await press(page, "Papers");
  await page.getByRole("button", { name: "Preview of Cost estimate" }).click();
  await expect(page.getByRole("img", { name: "Cost estimate, page 1, preview" })).toBeVisible();
  await expectNoAxeFindings(page);
  await press(page, "Close preview");
  const given = await fetched(page, "Cost estimate (PDF)");
  await press(page, "Letter (e-mail) …");
  await page.getByRole("group", { name: "What the letter encloses" }).getByLabel("Payment calendar").check();
  const letter = await fetched(page, "Make the letter");
  expect(letter.called).toBe("Bram Oakley, letter.eml");
  expect(letter.bytes.toString()).toContain("X-Unsent: 1");
  await page.keyboard.press("Escape");
  await openView(page, "History");
  const kept = page.getByRole("region", { name: "Papers that were given" });
  await expect(kept.getByRole("listitem")).toHaveText([
    /Letter/,
    /Payment calendar/,
    /Proposal/,
    /Cost estimate/,
  ]);
  const again = await fetched(page, /^Fetch again: Cost estimate/);
  expect([again.called, again.bytes.equals(given.bytes)]).toEqual(["Bram Oakley, cost estimate.pdf", true]);
});

test("a deal for business use has no cost estimate, and the menu says why; what no font has is said", async ({
  page,
}) => {
  const deal = await newDeal(page);
  await deal.type({
    Customer: "Quay 🚐 Haulage",
    Price: "38425",
    "Yearly rate": "6.49",
    "Number of payments": "72",
  });
  await deal.saved();
  await press(page, "Papers");
  await expect(papers(page)).toContainText("No font of the papers has 🚐: it is left out on them.");
  await page.getByLabel("The customer buys for").selectOption("business");
  await expect(papers(page)).toContainText("The deal is for business use");
  await expect(page.getByRole("button", { name: "Cost estimate (PDF)" })).toBeDisabled();
  await page.reload();
  await deal.ready();
  await press(page, "Papers");
  await expect(page.getByLabel("The customer buys for")).toHaveValue("business");
});

test("extras one by one, on the desk and on paper; a cover is asked what keeps it out of the finance charge", async ({
  page,
}) => {
  const structure = { price: "20000.00", extras: [{ name: "Gap cover", amount: "1000.00" }] };
  const plan = { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 60 };
  const file = { format: "kellux-deal", version: 1, currency: "USD", structure, plan, find: "payment" };
  const made = await page.request.post("/api/deals/import", {
    data: { fileName: "covered.json", text: JSON.stringify(file) },
  });
  await page.goto(`/deals/${(await made.json()).id}`);
  const deal = await new DealScreen(page).ready();
  await press(page, "Change Gap cover");
  await page.getByLabel("Insurance or debt cancellation, kept out of the finance charge").check();
  await expect(page.getByText("Until all three hold")).toBeVisible();
  for (const words of [/^It is voluntary/, /^Its cost was disclosed/, /^The customer has asked/])
    await page.getByLabel(words).check();
  await expect(page.getByText("Until all three hold")).toHaveCount(0);
  await page.getByLabel("Months that Gap cover holds").fill("36");
  await press(page, "Extras one by one");
  const table = page.getByRole("table", { name: /^Extras one by one/ });
  // 21,000.00 and 20,000.00 at 0.5 % a month over 60.
  await expect(table.getByRole("row").nth(1)).toHaveText(/for 36 months1,000\.00405\.99386\.66/);
  await expectNoAxeFindings(page);
  await deal.saved();
  await press(page, "Papers");
  expect((await fetched(page, "Extras, one by one (PDF)")).bytes.subarray(0, 5).toString()).toBe("%PDF-");
});

test("a payoff and payments per 1,000 where their figures stand", async ({ page }) => {
  const deal = await newDeal(page);
  await deal.type({ Price: "20000", "Yearly rate": "6", "Number of payments": "60" });
  await deal.saved();
  await view(page, "Repayment").click();
  expect((await fetched(page, "Payoff estimate (PDF)")).called).toBe("Deal, payoff estimate.pdf");
  await view(page, "Reach").click();
  await page.getByRole("button", { name: "Payment per 1,000", exact: true }).click();
  expect((await fetched(page, "Payment per 1,000 (PDF)")).called).toBe("Deal, payment per 1,000.pdf");
});
