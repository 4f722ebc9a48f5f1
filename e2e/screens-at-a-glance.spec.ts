import { expect, test } from "@playwright/test";
import { openDeal, view } from "./officer";

test("a plain deal shows its answer and ten lines of its table at 1280 × 800, with one scroll a column", async ({
  page,
}) => {
  const deal = await openDeal(page, "Idris Vantongeren", "Larkmoor 240 campervan");
  await expect(deal.sentence).toBeInViewport({ ratio: 1 });
  for (const cost of ["financeCharge", "apr", "dueAtSigning", "totalCost"])
    await expect(page.getByTestId(cost)).toBeInViewport({ ratio: 1 });
  const table = page.getByRole("region", { name: "Repayment table" });
  const rows = await table.evaluate(region => {
    const { top, bottom } = region.getBoundingClientRect();
    const [head, foot] = ["thead tr", "tfoot tr"].map(
      part => region.querySelector(part)?.firstElementChild?.getBoundingClientRect().height ?? 0,
    );
    return [...region.querySelectorAll("tbody tr")].filter(row => {
      const place = row.getBoundingClientRect();
      const isWhole = place.top >= top + (head ?? 0) - 1 && place.bottom <= bottom - (foot ?? 0) + 1;
      return isWhole && place.bottom <= window.innerHeight && place.height > 10;
    }).length;
  });
  expect(rows).toBeGreaterThanOrEqual(10);
  const scrolling = await page.evaluate(() =>
    [...document.querySelectorAll("[data-testid=desk] *")].filter(each => {
      const { overflowY } = getComputedStyle(each);
      return (overflowY === "auto" || overflowY === "scroll") && each.scrollHeight > each.clientHeight + 1;
    }),
  );
  expect(scrolling.length).toBeLessThanOrEqual(2);
});

test("on a phone the sentence is in the first screen, however many options there are", async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 700 });
  const deal = await openDeal(page, "Amaru Pelling", "Larkmoor 240");
  await expect(deal.sentence).toBeInViewport({ ratio: 1 });
  const [desk, sentence] = [await page.getByTestId("desk").boundingBox(), await deal.sentence.boundingBox()];
  // Two lines: who it is, and what is looked at.
  expect((sentence?.y ?? 0) - (desk?.y ?? 0)).toBeLessThan(130);
  const small = await page
    .locator("[data-testid=desk] :is(button, select, input, summary):visible")
    .evaluateAll(all =>
      all
        .map(each => ({
          name: each.getAttribute("aria-label") ?? each.textContent,
          box: each.getBoundingClientRect(),
        }))
        .filter(({ box }) => box.width > 1 && Math.min(box.width, box.height) < 23.9)
        .map(({ name, box }) => `${name} ${box.width} × ${box.height}`),
    );
  expect(small).toEqual([]);
});

test("printing prints what is in view as a page: no controls, no cut table", async ({ page }) => {
  const deal = await openDeal(page, "Idris Vantongeren", "Larkmoor 240 campervan");
  await expect(deal.sentence).toBeVisible();
  const printed = async () => {
    await page.emulateMedia({ media: "print" });
    await page.setViewportSize({ width: 720, height: 960 });
    await page.waitForTimeout(400);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(722);
    await expect(page.getByRole("navigation", { name: "Places" })).toBeHidden();
    await expect(page.locator("main .btn:visible")).toHaveCount(0);
    const cut = await page.locator("main *").evaluateAll(all =>
      all
        .filter(each => /auto|scroll|hidden|clip/.test(getComputedStyle(each).overflowY))
        .filter(each => each.scrollHeight > each.clientHeight + 2 && !each.closest(".sr-only"))
        .map(each => each.outerHTML.slice(0, 120)),
    );
    expect(cut).toEqual([]);
  };
  await printed();
  await expect(page.getByRole("region", { name: "Repayment table" }).getByRole("row")).toHaveCount(75);
  await page.emulateMedia({ media: "screen" });
  await page.setViewportSize({ width: 1280, height: 800 });
  await openDeal(page, "Amaru Pelling", "Larkmoor 240");
  await view(page, "Line-up").click();
  await expect(page.getByRole("rowheader", { name: "Finance charge" })).toBeVisible();
  await printed();
  await expect(page.getByRole("columnheader")).toHaveCount(4);
  await page.emulateMedia({ media: "screen" });
  await page.goto("/");
  await printed();
  await expect(page.getByRole("columnheader", { name: "Amount financed" })).toBeVisible();
});
