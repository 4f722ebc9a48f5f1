import AxeBuilder from "@axe-core/playwright";
import { expect, type Page } from "@playwright/test";

/** What hangs on colours, and can therefore be right in the light and wrong in the dark. */
const OF_COLOURS = ["color-contrast", "link-in-text-block"];
/** Colours change within it. */
const TRANSITION_MS = 250;

/**
 * Holds a page against the rules of WCAG 2.2 AA and good practice, in the light; then its colours in the dark.
 *
 * @param isDesk whether it is a page of the officer's, and not the customer's window
 */
export async function expectNoAxeFindings(page: Page, isDesk = true): Promise<void> {
  // Within the page, which has no frames: otherwise another page is opened each time to put results together.
  const builder = () => new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ["violations"] });
  // What is not alive yet takes no focus.
  if (isDesk) await expect(page.locator("main > fieldset:enabled")).toBeAttached();
  await expectNone(
    builder().withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"]),
  );
  await page.emulateMedia({ colorScheme: "dark" });
  await page.waitForTimeout(TRANSITION_MS);
  await expectNone(builder().withRules(OF_COLOURS));
  await page.emulateMedia({ colorScheme: "light" });
  await page.waitForTimeout(TRANSITION_MS);
}

async function expectNone(builder: AxeBuilder): Promise<void> {
  const { violations } = await builder.analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(node => node.html).join(" | ")}`)).toEqual([]);
}
