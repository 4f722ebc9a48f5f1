import { expect, type Page, test } from "@playwright/test";
import { MEMBERS, type Member } from "../tests/every-member";
import { DealScreen } from "./officer";

type Kind = "loan" | "personal" | "lease";

const TERMS = { frequency: "monthly", payments: 36 };
const PLANS = {
  loan: { kind: "loan", yearlyRate: "6", ...TERMS },
  personal: { kind: "loan", yearlyRate: "6", ...TERMS },
  lease: {
    kind: "lease",
    reckoning: "moneyFactor",
    moneyFactor: "0.002",
    residual: { amount: "9000" },
    ...TERMS,
  },
};

/** Members that stand for others, or are another kind's: they stay in the file, and have no row. */
const WITHOUT_ROW: Record<Kind, readonly string[]> = {
  loan: ["tradeIn", "taxIncluded", "listPrice", "purpose"],
  personal: ["tradeIn", "taxIncluded", "listPrice"],
  lease: ["tradeIn", "taxIncluded", "taxes"],
};

const shownMembers = (kind: Kind): Member[] =>
  Object.entries(MEMBERS)
    .filter(([name, member]) => typeof member[kind] === "number" && !WITHOUT_ROW[kind].includes(name))
    .map(([, member]) => member);

/** All that can be read of the structure: its words, and what stands in its fields. */
async function readable(page: Page): Promise<string> {
  const card = page.getByRole("region", { name: "Structure" });
  const fields = await card
    .locator("input, textarea")
    .evaluateAll(all => all.map(field => (field as HTMLInputElement).value));
  return [...(await card.allInnerTexts()), ...fields].join(" ");
}

for (const kind of ["loan", "personal", "lease"] as const) {
  test(`a ${kind === "personal" ? "personal loan" : kind} with all that it can have shows every line of it`, async ({
    page,
  }) => {
    const members = shownMembers(kind);
    expect(members.length).toBeGreaterThan(8);
    const structure = Object.assign({}, ...members.map(({ sample }) => sample));
    const text = JSON.stringify({
      ...{ format: "kellux-deal", version: 1, currency: "USD", find: "payment" },
      structure,
      plan: PLANS[kind],
    });
    const brought = await page.request.post("/api/deals/import", {
      data: { fileName: `Every ${kind}.json`, text },
    });
    const { id } = await brought.json();
    await page.goto(`/deals/${id}`);
    await new DealScreen(page).ready();
    await expect(async () => {
      const shown = await readable(page);
      expect(members.flatMap(({ said }) => said.filter(each => !shown.includes(each)))).toEqual([]);
    }).toPass({ timeout: 10_000 });
  });
}
