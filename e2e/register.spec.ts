import { expect, test } from "@playwright/test";

test.beforeEach(async ({ page }) => {
  await page.goto("/");
});

test("lists the demo's deals with their answers", async ({ page }) => {
  await page.goto("/?search=liesel");
  // A signed deal is as it was whatever other tests do.
  await expect(
    page.getByRole("row", {
      name: /Liesel Thornquist Larkmoor Fold pop-top camper 497\.36 USD 25,510\.55 USD Signed/,
    }),
  ).toBeVisible();
  await page.goto("/?search=tamsin");
  await expect(page.getByRole("row", { name: /Tamsin Wherry .* 265\.00 USD ?two-weekly/ })).toBeVisible();
  await page.goto("/?search=tobiah");
  await expect(page.getByRole("row", { name: /Tobiah Quarles .* no answer no answer/ })).toBeVisible();
});

test("is searched as one types", async ({ page }) => {
  await page.getByLabel("Search the deals").fill("castellane trailer");
  await expect(page.getByRole("row")).toHaveCount(2);
  await expect(page.getByRole("row").nth(1)).toContainText("Jorun Castellane");
  await page.getByLabel("Search the deals").fill("nobody of this name");
  await expect(page.getByText("No deal matches this search.")).toBeVisible();
});

test("is sorted by each column, both ways", async ({ page }) => {
  // All on one page, however many deals other tests have made.
  await page.goto("/?search=larkmoor");
  await expect(page.getByRole("status").filter({ hasText: "found" })).toBeVisible();
  const column = async (index: number) => {
    const texts = await page.locator(`tbody tr td:nth-child(${index})`).allInnerTexts();
    return texts.map(text => text.replaceAll(",", ""));
  };
  for (const [name, index] of [
    ["Customer", 1],
    ["Vehicle or purpose", 2],
    ["Status", 5],
  ] as const) {
    await page.getByRole("columnheader", { name }).getByRole("button").click();
    await expect(page.getByRole("columnheader", { name })).toHaveAttribute("aria-sort", "ascending");
    await expect(async () => {
      const texts = (await column(index)).map(text => text.toLowerCase());
      // Who has no name yet comes last.
      const named = texts.filter(text => text !== "" && text !== "no name yet");
      expect(texts.slice(0, named.length)).toEqual([...named].sort());
    }).toPass();
  }
  for (const [name, index] of [
    ["Payment", 3],
    ["Amount financed", 4],
  ] as const) {
    const header = page.getByRole("columnheader", { name });
    await header.getByRole("button").click();
    if ((await header.getAttribute("aria-sort")) === "ascending") await header.getByRole("button").click();
    await expect(header).toHaveAttribute("aria-sort", "descending");
    await expect(async () => {
      const amounts = (await column(index)).map(Number.parseFloat).filter(amount => !Number.isNaN(amount));
      expect(amounts).toEqual([...amounts].sort((a, b) => b - a));
      expect((await column(index)).at(-1)).toBe("no answer");
    }).toPass();
  }
  await page.getByRole("columnheader", { name: "Last changed" }).getByRole("button").click();
  await expect(page.getByRole("columnheader", { name: "Last changed" })).not.toHaveAttribute(
    "aria-sort",
    "none",
  );
});

test("a deal is duplicated, deleted, and back with undo", async ({ page }) => {
  await page.goto("/?search=saltroe");
  const rows = page.getByRole("row", { name: /Benedikt Saltroe/ });
  await page.getByRole("button", { name: "Duplicate the deal of Benedikt Saltroe" }).click();
  await expect(rows).toHaveCount(2);
  await page.getByRole("button", { name: "Delete the deal of Benedikt Saltroe" }).first().click();
  await expect(rows).toHaveCount(1);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(rows).toHaveCount(2);
  await page.getByRole("button", { name: "Delete the deal of Benedikt Saltroe" }).first().click();
  await expect(rows).toHaveCount(1);
});
