import { readFile } from "node:fs/promises";
import { expect, type Page, test } from "@playwright/test";
import { expectNoAxeFindings } from "./axe";
import { newDeal, press } from "./officer";

/** Fetches a paper by its name in the menu. */
async function fetched(page: Page, name: string): Promise<{ called: string; bytes: Buffer }> {
  const [download] = await Promise.all([page.waitForEvent("download"), press(page, name)]);
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
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Proposal with all 3 options (PDF)" }).press("Enter"),
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
    const answer = await page.request.get(`${at}${path}`);
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
  const answer = await page.request.get(`${at}/proposal?${good}`);
  expect([answer.status(), answer.headers()["content-type"]]).toEqual([200, "application/pdf"]);
});
