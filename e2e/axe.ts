import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/** Holds a page against the rules of WCAG 2.2 AA and good practice. */
export async function expectNoAxeFindings(page: Page): Promise<void> {
  // What is not alive yet takes no focus.
  await expect(page.locator("main > fieldset:enabled")).toBeAttached();
  const { violations } = await new AxeBuilder({ page })
    .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(node => node.html).join(" | ")}`)).toEqual([]);
}
