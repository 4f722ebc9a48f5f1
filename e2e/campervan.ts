// The loan that the repayment is tried on.
import { expect, type Page } from "@playwright/test";
import { type DealScreen, newDeal, view } from "./officer";

/** 38,425.00 at 6.49 % over 72 monthly payments of 645.74. */
export async function campervan(
  page: Page,
  more: Record<string, string> = {},
  payment = "$645.74",
): Promise<DealScreen> {
  const deal = await newDeal(page);
  await deal.type({
    Price: "38425",
    "Yearly rate": "6.49",
    "Number of payments": "72",
    "Contract date": "2026-12-08",
    "First payment": "2027-01-08",
    ...more,
  });
  await view(page, "Repayment").click();
  await expect(page.getByTestId("repayment-line")).toContainText(`72 monthly payments of ${payment}`);
  return deal;
}

export const table = (page: Page) => page.getByRole("region", { name: "Repayment table" });
export const chosen = (page: Page) =>
  table(page)
    .getByRole("row")
    .filter({ has: page.getByTestId("chosen") });
export const early = (page: Page) => page.getByTestId("early-answer");
export const card = (page: Page, name: string) => page.getByRole("region", { name, exact: true });
